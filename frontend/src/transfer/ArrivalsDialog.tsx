import { Alert, App, Progress, Select } from "antd";
import { useState } from "react";
import { useNavigate } from "react-router";

import type { Arrival, Decision } from "../api";
import { Faults } from "./Faults";
import { percentOf } from "./send";
import { useTakeIn } from "./useArrivals";
import { Dialog } from "../common/overlays";
import { say } from "../voice";

interface Props {
  file: File;
  arrivals: Arrival[];
  onClose: () => void;
}

const STANDING = (): Record<Arrival["standing"], string> => ({
  new: say("transfer-new-here"),
  same: say("transfer-here-already-just-the-same"),
  differs: say("transfer-here-already-but-not-the-same"),
  faulty: say("transfer-cannot-be-taken-in"),
});
const LABELS = (): Record<Decision, string> => ({
  new: say("transfer-take-it-in-as-a-new"),
  replace: say("transfer-replace-the-one-here-as-a"),
  skip: say("transfer-leave-it"),
});
const POSSIBLE: Record<Arrival["standing"], Decision[]> = {
  new: ["new", "skip"],
  same: ["skip", "new"],
  differs: ["skip", "new", "replace"],
  faulty: ["skip"],
};

/** What a file would bring, and what is to be done with each sheet in it. */
export function ArrivalsDialog({ file, arrivals, onClose }: Props) {
  const navigate = useNavigate();
  const take = useTakeIn();
  const { message } = App.useApp();
  const [decisions, setDecisions] = useState<Decision[]>(arrivals.map(({ usual }) => usual));
  const count = decisions.filter((decision) => decision !== "skip").length;
  function go() {
    take.mutate(
      { file, decisions },
      {
        onSuccess: (taken) => {
          onClose();
          const sheets = taken.filter(({ id }) => id !== null);
          const [only, ...others] = sheets;
          if (only?.id && others.length === 0) void navigate(`/sheets/${only.id}`);
          if (taken.length > 1)
            void message.info(
              say("transfer-taken", { count: sheets.length, left: taken.length - sheets.length }),
            );
        },
      },
    );
  }
  return (
    <Dialog
      title={say("transfer-in-the-file", { name: file.name })}
      width={760}
      okText={count === 1 ? say("transfer-take-it-in") : say("transfer-take-in", { count })}
      okButtonProps={{ disabled: count === 0 }}
      confirmLoading={take.isPending}
      onOk={go}
      onCancel={onClose}
    >
      <p className="quiet" role="status">
        {take.isPending
          ? say("transfer-taking-in-of-all-of-them", { count, all: arrivals.length })
          : say("transfer-nothing-is-stored-yet")}
      </p>
      {take.isPending && <Progress percent={percentOf(take.progress)} status="active" />}
      <div className="arrivals">
        {arrivals.map((arrival, index) => (
          <article key={`${index} ${arrival.file}`} className="arrival">
            <h3>{arrival.title || say("sheet-untitled-sheet")}</h3>
            <span className="quiet">
              {arrival.standing !== "faulty" &&
                `${say("counted-quantities", { count: arrival.quantities })}, ${say("counted-readings", { count: arrival.readings })}; `}
              {STANDING()[arrival.standing]}
            </span>
            {arrival.standing !== "faulty" && (
              <Select<Decision>
                aria-label={say("transfer-what-to-do-with", { title: arrival.title })}
                value={decisions[index] ?? "skip"}
                options={POSSIBLE[arrival.standing].map((value) => ({
                  value,
                  label: LABELS()[value],
                }))}
                onChange={(decision) =>
                  setDecisions(decisions.map((one, place) => (place === index ? decision : one)))
                }
              />
            )}
            {arrival.faults.length > 0 && (
              <Faults faults={arrival.faults} left={arrivals.length > 1} />
            )}
          </article>
        ))}
      </div>
      {take.error && <Alert type="error" showIcon title={take.error.message} />}
    </Dialog>
  );
}

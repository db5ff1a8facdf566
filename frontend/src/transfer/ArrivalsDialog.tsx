import { Alert, Modal, Progress, Select } from "antd";
import { useState } from "react";
import { useNavigate } from "react-router";

import type { Arrival, Decision } from "../api";
import { Faults } from "./Faults";
import { percentOf } from "./send";
import { useTakeIn } from "./useArrivals";

interface Props {
  file: File;
  arrivals: Arrival[];
  onClose: () => void;
}

const STANDING: Record<Arrival["standing"], string> = {
  new: "new here",
  same: "here already, just the same",
  differs: "here already, but not the same",
  faulty: "cannot be taken in",
};
const LABELS: Record<Decision, string> = {
  new: "take it in as a new sheet",
  replace: "replace the one here, as a new version",
  skip: "leave it",
};
const POSSIBLE: Record<Arrival["standing"], Decision[]> = {
  new: ["new", "skip"],
  same: ["skip", "new"],
  differs: ["skip", "new", "replace"],
  faulty: ["skip"],
};

const counted = (count: number, one: string, more: string) =>
  `${count} ${count === 1 ? one : more}`;

/** What a file would bring, and what is to be done with each sheet in it. */
export function ArrivalsDialog({ file, arrivals, onClose }: Props) {
  const navigate = useNavigate();
  const take = useTakeIn();
  const [decisions, setDecisions] = useState<Decision[]>(arrivals.map(({ usual }) => usual));
  const count = decisions.filter((decision) => decision !== "skip").length;
  function go() {
    take.mutate(
      { file, decisions },
      {
        onSuccess: (taken) => {
          onClose();
          const [only, ...others] = taken;
          if (only && others.length === 0) void navigate(`/sheets/${only.id}`);
        },
      },
    );
  }
  return (
    <Modal
      open
      title={`In “${file.name}”`}
      width={760}
      okText={count === 1 ? "Take it in" : `Take ${count} in`}
      okButtonProps={{ disabled: count === 0 }}
      confirmLoading={take.isPending}
      onOk={go}
      onCancel={onClose}
    >
      <p className="quiet" role="status">
        {take.isPending
          ? `Taking in ${count} of ${arrivals.length}: all of them, or none if one fails.`
          : "Nothing is stored yet."}
      </p>
      {take.isPending && <Progress percent={percentOf(take.progress)} status="active" />}
      <div className="arrivals">
        {arrivals.map((arrival, index) => (
          <article key={`${index} ${arrival.file}`} className="arrival">
            <h3>{arrival.title || "Untitled sheet"}</h3>
            <span className="quiet">
              {arrival.standing !== "faulty" &&
                `${counted(arrival.quantities, "quantity", "quantities")}, ${counted(arrival.readings, "reading", "readings")}; `}
              {STANDING[arrival.standing]}
            </span>
            {arrival.standing !== "faulty" && (
              <Select<Decision>
                aria-label={`What to do with ${arrival.title}`}
                value={decisions[index] ?? "skip"}
                options={POSSIBLE[arrival.standing].map((value) => ({
                  value,
                  label: LABELS[value],
                }))}
                onChange={(decision) =>
                  setDecisions(decisions.map((one, place) => (place === index ? decision : one)))
                }
              />
            )}
            {arrival.faults.length > 0 && <Faults faults={arrival.faults} />}
          </article>
        ))}
      </div>
      {take.error && <Alert type="error" showIcon title={take.error.message} />}
    </Modal>
  );
}

import { Alert, Progress } from "antd";
import { useState } from "react";
import { useNavigate } from "react-router";

import type { Arrival, Decision } from "../api";
import { Dialog } from "../common/overlays";
import { say } from "../voice";
import { Arriving } from "./Arriving";
import { called, type Picked } from "./files";
import { percentOf } from "./send";
import { standing } from "./standing";
import { Standings } from "./Standings";
import { became, type Became } from "./TakenDialog";
import { useTakeIn } from "./useArrivals";

interface Props {
  files: Picked[];
  arrivals: Arrival[];
  /** What became of several. */
  onTaken: (taken: Became[]) => void;
  onClose: () => void;
}

/** What files would bring, and what is to be done with each sheet in them. */
export function ArrivalsDialog({ files, arrivals, onTaken, onClose }: Props) {
  const navigate = useNavigate();
  const take = useTakeIn();
  const [decisions, setDecisions] = useState<Decision[]>(arrivals.map(({ usual }) => usual));
  const count = decisions.filter((decision) => decision !== "skip").length;
  function decide(which: (arrival: Arrival, index: number) => boolean, decision: Decision) {
    setDecisions(
      decisions.map((one, index) => {
        const arrival = arrivals[index];
        return arrival && which(arrival, index) ? decision : one;
      }),
    );
  }
  function go() {
    take.mutate(
      { files, decisions },
      {
        onSuccess: (taken) => {
          onClose();
          const [only, ...others] = taken;
          if (only?.id && others.length === 0) void navigate(`/sheets/${only.id}`);
          else onTaken(became(taken, arrivals));
        },
      },
    );
  }
  return (
    <Dialog
      title={called(files)}
      width={760}
      okText={count > 1 ? say("transfer-take-in", { count }) : say("transfer-submit")}
      okButtonProps={{ disabled: count === 0 }}
      confirmLoading={take.isPending}
      onOk={go}
      onCancel={onClose}
    >
      <p className="quiet" role="status">
        {take.isPending
          ? say("transfer-progress", { count, all: arrivals.length })
          : say("transfer-pending")}
      </p>
      {take.isPending && <Progress percent={percentOf(take.progress)} status="active" />}
      {arrivals.length > 1 && (
        <Standings
          arrivals={arrivals}
          decisions={decisions}
          onDecide={(each, decision) => decide((one) => standing(one) === each, decision)}
        />
      )}
      <div className="arrivals">
        {arrivals.map((arrival, index) => (
          <Arriving
            key={`${index} ${arrival.file}`}
            arrival={arrival}
            decision={decisions[index] ?? "skip"}
            alone={arrivals.length === 1}
            onDecide={(decision) => decide((_, place) => place === index, decision)}
          />
        ))}
      </div>
      {take.error && <Alert type="error" showIcon title={take.error.message} />}
    </Dialog>
  );
}

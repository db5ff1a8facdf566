import { App, Button } from "antd";
import { Link } from "react-router";

import type { Arrival, Taken } from "../api";
import { Dialog } from "../common/overlays";
import { useShowError } from "../common/useShowError";
import { titleOf, whose } from "../common/whose";
import { say } from "../voice";
import { standingOf } from "./standing";
import { useTakeBack } from "./useArrivals";

/** What became of a file, and what it was. */
export interface Became {
  taken: Taken;
  arrival: Arrival;
}

/** What became of each of several files, in their order. */
export const became = (taken: Taken[], arrivals: Arrival[]): Became[] =>
  arrivals.flatMap((arrival, index) => {
    const one = taken[index];
    return one ? [{ taken: one, arrival }] : [];
  });

interface Props {
  taken: Became[];
  onClose: () => void;
}

/** What became of each of several files; all can go out again at once. */
export function TakenDialog({ taken, onClose }: Props) {
  const { message } = App.useApp();
  const showError = useShowError();
  const back = useTakeBack();
  const count = taken.filter((one) => one.taken.id !== null).length;
  const undo = () =>
    back.mutate(
      taken.map((one) => one.taken),
      {
        onSuccess: ({ left }) => {
          onClose();
          void message.info(
            say("transfer-taken-back", { count: count - left.length, left: left.length }),
          );
        },
        onError: showError,
      },
    );
  return (
    <Dialog
      title={say("transfer-taken", { count, left: taken.length - count })}
      width={760}
      onCancel={onClose}
      footer={[
        <Button key="undo" loading={back.isPending} disabled={count === 0} onClick={undo}>
          {say("transfer-take-back")}
        </Button>,
        <Button key="close" type="primary" autoFocus onClick={onClose}>
          {say("app-close")}
        </Button>,
      ]}
    >
      <ul className="arrivals taken">
        {taken.map((one, index) => (
          <li key={`${index} ${one.arrival.file}`}>
            <span>{one.arrival.file}</span>
            <Outcome {...one} onLeave={onClose} />
          </li>
        ))}
      </ul>
    </Dialog>
  );
}

function Outcome({ taken, arrival, onLeave }: Became & { onLeave: () => void }) {
  if (taken.id === null)
    return (
      <span className="quiet">
        {say("transfer-became-left", { why: arrival.faults[0]?.message ?? standingOf(arrival) })}
      </span>
    );
  return (
    <span>
      {taken.decision === "replace" ? say("transfer-became-replaced") : say("transfer-became-new")}
      {": "}
      <Link to={`/sheets/${taken.id}`} onClick={onLeave}>
        {titleOf(arrival)}
      </Link>{" "}
      <span className="quiet">{whose(arrival)}</span>
    </span>
  );
}

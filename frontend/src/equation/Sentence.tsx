import { Button } from "antd";

import type { Instrument } from "../api";
import { useAtBench } from "../bench/AtBench";
import type { Desk } from "../entry/useDesk";
import { say } from "../voice";
import type { EquationProps } from "./Equation";
import { Offers } from "./Offers";

interface SentenceProps extends Pick<
  EquationProps,
  "desk" | "instrument" | "task" | "onLeave" | "brief"
> {
  /** The id by which the blanks are described by it. */
  said: string;
  docked: boolean;
}

/** What is said of the figures: what they lack, what they read, or how they are typed. */
export function Sentence({ desk, instrument, task = "", onLeave, ...props }: SentenceProps) {
  const bench = useAtBench() !== null;
  const { answer } = desk;
  const faults = [answer?.main.fault, answer?.fine.fault].filter((one) => one);
  return (
    <div className="equation-said">
      <p id={props.said}>
        {task && <b>{task} </b>}
        {faults.length > 0 ? (
          <span className="equation-fault" role="alert">
            {faults.join(" ")}
          </span>
        ) : props.brief ? (
          lacking(desk, instrument, bench)
        ) : (
          words(desk, instrument, task, bench)
        )}{" "}
        {onLeave && (
          <Button type="link" onClick={onLeave}>
            {say("desk-leave-it")}
          </Button>
        )}
      </p>
      {!props.docked && (
        <span className="equation-offers">
          <Offers desk={desk} blank="main" />
          <Offers desk={desk} blank="fine" />
        </span>
      )}
    </div>
  );
}

/** What an entry lacks that is not whole; nothing of a whole one. */
function lacking(desk: Desk, instrument: Instrument, bench: boolean): string {
  const { entry, answer, away, refused } = desk;
  if (!away && !refused && entry.main.trim() !== "") {
    if (answer?.read != null) return "";
    if (instrument.traits.fine_scale && entry.fine.trim() === "") return say("zero-line-wanted");
  }
  return words(desk, instrument, "", bench);
}

function words(desk: Desk, instrument: Instrument, task: string, bench: boolean): string {
  if (desk.away) return say("equation-offline");
  if (desk.refused) return say("equation-refused", { refused: desk.refused });
  if (desk.answer?.sentences.length) return desk.answer.sentences.join(" ");
  if (task) return say("equation-enter-replaces-esc-leaves");
  const how = instrument.appearance.display ? "display" : instrument.kind;
  return say(`equation-how-${how}`, {
    least: instrument.least_count_text,
    main: instrument.example_main,
    fine: instrument.example_fine,
    bench: String(bench),
  });
}

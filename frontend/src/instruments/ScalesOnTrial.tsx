import type { Description } from "../api";
import { useDraftDesk } from "../entry/useDesk";
import { SlowMotion, Strip, useLineAfterLine } from "../strip";
import type { Draft } from "./draft";
import { say } from "../voice";

interface Props {
  record: Draft;
  description: Description;
  /** A place to be shown first; null for closed. */
  start: number | null;
}

/** The described scales to play with: dragged open, or in slow motion, line after line. */
export function ScalesOnTrial({ record, description, start }: Props) {
  const desk = useDraftDesk(record, { fineAs: "line", mainAs: "engraved" });
  const { slide } = description;
  const begun = slide.findIndex(({ position }) => position === start);
  const motion = useLineAfterLine(slide, { step: Math.max(0, begun) });
  const { shown } = motion;
  const { answer, entry } = desk;

  function drag(position: number) {
    motion.leave();
    desk.move(position);
  }
  const dragged =
    answer?.read == null
      ? ""
      : say("instruments-reads", { read: `${answer.read} ${description.unit_text}` });
  return (
    <section className="card trial" aria-label={say("instruments-drawing")}>
      <Strip
        instrument={description}
        face="outside"
        position={shown ? shown.position : (entry.position ?? answer?.position ?? 0)}
        live
        answer={shown ? null : answer}
        zeroError={0}
        {...(shown ? { meeting: shown.lines } : {})}
        label={say("instruments-preview")}
        readOut={shown?.words ?? dragged}
        onMove={drag}
        onRelease={desk.release}
      />
      <SlowMotion motion={motion} otherwise={dragged || say("instruments-tour-open")} />
    </section>
  );
}

import { CaretRightOutlined, PauseOutlined } from "@ant-design/icons";
import { Button, Slider } from "antd";
import { useEffect, useState } from "react";

import type { Description } from "../api";
import { useDraftDesk } from "../desk/useDesk";
import { Strip } from "../strip";
import type { Draft } from "./draft";
import { say } from "../voice";
import { DRAWN } from "../app/icons";

interface Props {
  record: Draft;
  description: Description;
  /** A place to be shown first; null for closed. */
  start: number | null;
}

const STEP_MILLISECONDS = 1100;

/** The described scales to play with: dragged open, or in slow motion, line after line. */
export function ScalesOnTrial({ record, description, start }: Props) {
  const desk = useDraftDesk(record, { fineAs: "line" });
  const [step, setStep] = useState<number | null>(() =>
    Math.max(
      0,
      description.slide.findIndex(({ position }) => position === start),
    ),
  );
  const [running, setRunning] = useState(false);
  const { slide } = description;
  const shown = step === null ? null : (slide[step] ?? null);
  const { answer, entry } = desk;

  useEffect(() => {
    if (!running) return undefined;
    const clock = setInterval(() => {
      setStep((now) => ((now ?? -1) + 1) % Math.max(slide.length, 1));
    }, STEP_MILLISECONDS);
    return () => {
      clearInterval(clock);
    };
  }, [running, slide.length]);

  function drag(position: number) {
    setRunning(false);
    setStep(null);
    desk.move(position);
  }
  const dragged =
    answer?.read == null
      ? ""
      : say("instruments-reads", { read: `${answer.read} ${unitOf(description)}` });
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
        label={say("instruments-scales-of-the-described-tool")}
        readOut={shown?.words ?? dragged}
        onMove={drag}
        onRelease={desk.release}
      />
      <div className="trial-slide">
        <Button
          icon={running ? <PauseOutlined {...DRAWN} /> : <CaretRightOutlined {...DRAWN} />}
          disabled={slide.length === 0}
          onClick={() => {
            setStep((now) => now ?? 0);
            setRunning(!running);
          }}
        >
          {running ? say("instruments-hold") : say("instruments-line-after-line")}
        </Button>
        <Slider
          className="trial-slider"
          min={0}
          max={Math.max(slide.length - 1, 1)}
          value={step ?? 0}
          disabled={slide.length === 0}
          tooltip={{ open: false }}
          onChange={(at: number) => {
            setRunning(false);
            setStep(at);
          }}
          ariaLabelForHandle={say("instruments-step-of-the-slide")}
        />
        <span className="trial-words" data-testid="slide">
          {shown ? shown.words : dragged || say("instruments-drag-the-scales-open")}
        </span>
      </div>
    </section>
  );
}

const unitOf = ({ kind, unit }: Description) => (kind === "angular" ? "" : unit);

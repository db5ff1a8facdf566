import { CaretRightOutlined, PauseOutlined } from "@ant-design/icons";
import { Button, Slider } from "antd";
import type { ReactNode } from "react";

import { DRAWN } from "../common/icons";
import { say } from "../voice";
import "./slowMotion.css";
import type { LineAfterLine } from "./useLineAfterLine";

interface Props {
  motion: LineAfterLine;
  /** Whether the hand goes to it at once. */
  taken?: boolean;
  /** What is said while the scales stand elsewhere. */
  otherwise?: string;
  children?: ReactNode;
}

/** Plays the scales line after line, or shows one step of it. */
export function SlowMotion({ motion, taken = false, otherwise = "", children }: Props) {
  const { slide, shown, at, running, run, show } = motion;
  return (
    <div className="slow-motion">
      <Button
        autoFocus={taken}
        icon={running ? <PauseOutlined {...DRAWN} /> : <CaretRightOutlined {...DRAWN} />}
        disabled={slide.length === 0}
        onClick={() => run(!running)}
      >
        {running ? say("instruments-hold") : say("instruments-tour-lines")}
      </Button>
      <Slider
        className="slow-motion-slider"
        min={0}
        max={Math.max(slide.length - 1, 1)}
        value={at}
        disabled={slide.length === 0}
        tooltip={{ open: false }}
        onChange={show}
        ariaLabelForHandle={say("instruments-slide-step")}
      />
      <span className="slow-motion-words" data-testid="slide">
        {shown ? shown.words : otherwise}
      </span>
      {children}
    </div>
  );
}

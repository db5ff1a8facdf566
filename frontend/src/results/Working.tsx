import { Button } from "antd";
import { useEffect, useRef } from "react";

import type { Step } from "../api";
import { Pieces } from "./Pieces";
import { say } from "../voice";

interface Props {
  steps: Step[];
  /** The line that a number was followed back to. */
  at?: string | null;
  /** Leads to the line that a number comes from. */
  onFollow?: (source: string) => void;
  /** Shows a reading, counted from 0, on the scales. */
  onLook?: ((index: number) => void) | undefined;
}

/** Lines of a working, each piece in the hue and with the underline of its part. */
export function Working({ steps, at, onFollow, onLook }: Props) {
  return (
    <dl className="working">
      {steps.map((step) => (
        <Line key={step.key} {...{ step, onFollow, onLook }} found={step.key === at} />
      ))}
    </dl>
  );
}

interface LineProps {
  step: Step;
  found: boolean;
  onFollow?: ((source: string) => void) | undefined;
  onLook?: ((index: number) => void) | undefined;
}

function Line({ step, found, onFollow, onLook }: LineProps) {
  const line = useRef<HTMLDivElement>(null);
  const { reading } = step;
  useEffect(() => {
    if (found) line.current?.scrollIntoView({ block: "nearest" });
  }, [found]);
  return (
    <div ref={line} data-found={found}>
      <dt>
        {step.label}
        {onLook && reading !== null && (
          <Button type="link" size="small" onClick={() => onLook(reading)}>
            {say("results-see-scales")}
          </Button>
        )}
      </dt>
      <dd>
        <Pieces line={step.spans} onFollow={onFollow} />
      </dd>
    </div>
  );
}

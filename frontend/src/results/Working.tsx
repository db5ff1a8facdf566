import type { Step } from "../api";
import { useShow } from "../app/settings";

/** Lines of a working, each piece in the hue and with the underline of its part. */
export function Working({ steps }: { steps: Step[] }) {
  const show = useShow();
  return (
    <dl className="working">
      {steps.map((step, index) => (
        <div key={`${index} ${step.label}`}>
          <dt>{step.label}</dt>
          <dd>
            {step.spans.map((span, place) => (
              <span
                key={place}
                className={
                  span.tint === "plain" ? undefined : `part-${span.tint} mark-${span.tint}`
                }
              >
                {show(span.text)}
              </span>
            ))}
          </dd>
        </div>
      ))}
    </dl>
  );
}

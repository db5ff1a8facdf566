import type { Instrument, Sheet } from "../api";
import { dated, figure, say } from "../voice";

/** The month in letters: no two countries order figures alike. */
const WHEN = { dateStyle: "medium", timeStyle: "short" } as const;

/** Earlier looks at the zero of the same faces; several are averaged by whoever uses them. */
export function EarlierLooks(props: { sheet: Sheet; instrument: Instrument; face: string }) {
  const { sheet, instrument, face } = props;
  const looks = sheet.zero_checks.filter(
    (check) => check.instrument === instrument.id && (check.face || "outside") === face,
  );
  if (looks.length === 0) return null;
  return (
    <div className="zero-earlier">
      <p className="quiet">{say("zero-looked-at-before-on-these-faces")}</p>
      <ul>
        {looks.map((check) => (
          <li key={check.id}>
            <span className="part-zero mark-zero">{`${check.error_text} ${instrument.unit}`}</span>{" "}
            <span className="quiet">
              {say(check.reference ? "zero-phase-on-a-piece" : "zero-phase", {
                phase: check.phase,
                reference: figure(check.reference ?? ""),
              })}
              {check.at && `, ${dated(check.at, WHEN)}`}
            </span>
          </li>
        ))}
      </ul>
    </div>
  );
}

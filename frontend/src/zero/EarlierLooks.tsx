import type { Instrument, Sheet } from "../api";
import { useShow } from "../app/settings";

/** The month in letters: no two countries order figures alike. */
const WHEN = new Intl.DateTimeFormat("en-GB", { dateStyle: "medium", timeStyle: "short" });

/** Earlier looks at the zero of the same faces; several are averaged by whoever uses them. */
export function EarlierLooks(props: { sheet: Sheet; instrument: Instrument; face: string }) {
  const show = useShow();
  const { sheet, instrument, face } = props;
  const looks = sheet.zero_checks.filter(
    (check) => check.instrument === instrument.id && (check.face || "outside") === face,
  );
  if (looks.length === 0) return null;
  return (
    <div className="zero-earlier">
      <p className="quiet">
        Looked at before on these faces. A quantity that uses several takes their mean.
      </p>
      <ul>
        {looks.map((check) => (
          <li key={check.id}>
            <span className="part-zero mark-zero">
              {show(`${check.error_text} ${instrument.unit}`)}
            </span>{" "}
            <span className="quiet">
              {check.phase}
              {check.reference && show(`, on a piece of ${check.reference}`)}
              {check.at && `, ${WHEN.format(new Date(check.at))}`}
            </span>
          </li>
        ))}
      </ul>
    </div>
  );
}

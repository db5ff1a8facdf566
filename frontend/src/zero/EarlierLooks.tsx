import type { Instrument, Quantity, Sheet } from "../api";
import { dated, figure, say } from "../voice";

/** The month in letters: no two countries order figures alike. */
const WHEN = { dateStyle: "medium", timeStyle: "short" } as const;

interface Props {
  sheet: Sheet;
  instrument: Instrument;
  quantity: Quantity | null;
}

type Look = Sheet["zero_checks"][number];

/** All looks at the zero of a tool beside the readings, on one line of time. */
export function EarlierLooks({ sheet, instrument, quantity }: Props) {
  const looks = sheet.zero_checks.filter((check) => check.instrument === instrument.id);
  if (looks.length === 0) return null;
  const { unit } = instrument;
  return (
    <div className="zero-earlier">
      <p className="quiet">{say("zero-looked-at-before")}</p>
      <ol className="zero-time-line">
        {inOrder(looks, quantity?.readings ?? []).map((one) =>
          "count" in one ? (
            <li key={one.key} className="quiet">
              {say("zero-readings-between", { count: one.count })}
            </li>
          ) : (
            <li key={one.look.id}>
              <span className="part-zero mark-zero">{`${one.look.error_text} ${unit}`}</span>{" "}
              <span className="quiet">{toldOf(one.look)}</span>
            </li>
          ),
        )}
      </ol>
    </div>
  );
}

function toldOf({ reference, phase, face, at }: Look): string {
  const told = say(reference ? "zero-phase-on-a-piece" : "zero-phase", {
    phase,
    reference: figure(reference ?? ""),
  });
  return [told, face, at && dated(at, WHEN)].filter(Boolean).join(", ");
}

type Passed = { look: Look } | { key: string; count: number };

/** Looks, and how many readings lie between them; what has no time comes first. */
export function inOrder(
  looks: Look[],
  readings: Pick<Quantity["readings"][number], "id" | "at">[],
): Passed[] {
  const all = [
    ...looks.map((look) => ({ at: look.at ?? "", look, key: look.id })),
    ...readings.map(({ at, id }) => ({ at: at ?? "", look: null, key: id })),
  ].sort((one, other) => (one.at < other.at ? -1 : Number(one.at > other.at)));
  const found: Passed[] = [];
  for (const { look, key } of all) {
    const last = found.at(-1);
    if (look) found.push({ look });
    else if (last && "count" in last) last.count += 1;
    else found.push({ key, count: 1 });
  }
  return found;
}

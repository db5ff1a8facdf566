import type { Instrument, Schemas } from "../api";
import { say } from "../voice";

/** A description in the making: the fields of an instrument as they are typed. */
export type Draft = Schemas["InstrumentFields"];
export type Kind = Instrument["kind"];

export const isKind = (kind: string | undefined): kind is Kind =>
  kind !== undefined && kind in STARTS;

/** Whether a beam can be numbered in millimetres or in centimetres. */
export const isMetric = ({ unit }: Draft) => unit === "mm" || unit === "cm";

/** What a description starts from when nothing is known but the kind. */
export const STARTS: Record<Kind, Draft> = {
  vernier: {
    kind: "vernier",
    unit: "mm",
    main_division: "1",
    fine_divisions: 20,
    span: 39,
    numbering: "with",
    range: ["0", "150"],
  },
  screw: {
    kind: "screw",
    unit: "mm",
    pitch: "0.5",
    main_division: "0.5",
    fine_divisions: 50,
    range: ["0", "25"],
  },
  angular: {
    kind: "angular",
    unit: "arcmin",
    main_division: "30",
    fine_divisions: 30,
    span: 29,
    numbering: "with",
  },
  plain: {
    kind: "plain",
    unit: "mm",
    main_division: "1",
    range: ["0", "300"],
    numerals: "cm",
  },
};

/** The draft as the server is asked about it: decimal commas as points, nothing empty. */
export function asked(draft: Draft): Draft {
  const plain = (text: string | undefined) => text?.trim().replace(",", ".");
  const { main_division: division, pitch, range, name, ...rest } = draft;
  const ends = range?.map((end) => plain(end) ?? "");
  return {
    ...rest,
    ...(name ? { name } : {}),
    ...(division === undefined ? {} : { main_division: plain(division) ?? "" }),
    ...(pitch === undefined ? {} : { pitch: plain(pitch) ?? "" }),
    ...(ends && ends.some((end) => end !== "") ? { range: ends } : {}),
  };
}

const CALLED = (): Record<string, string> => ({
  vernier: say("instruments-caliper"),
  screw: say("instruments-screw-gauge"),
  angular: say("instruments-divided-circle"),
  plain: say("instruments-plain-scale-name"),
  display: say("instruments-display-name"),
});

/** What a tool like this is called while it has no name of its own. */
export function calledLike(record: Draft): string {
  const sort = record.display ? "display" : (record.kind ?? "");
  return CALLED()[sort] ?? say("instruments-tool");
}

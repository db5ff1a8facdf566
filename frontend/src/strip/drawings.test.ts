import { describe, expect, it } from "vitest";

import type { Instrument } from "../api";
import { fineLinesAt, frameAt } from "./geometry";
import { DATUM, screwPlaces } from "./screwGeometry";

interface Drawing {
  instrument: Instrument;
  position: number;
  /** The lines that meet, as the core works them out. */
  lines: number[];
}

/** Written by scripts/write_drawings.py (`make test-front` does so first). */
const files = import.meta.glob<Drawing[]>("../../../var/drawings.json", {
  eager: true,
  import: "default",
});
const drawings = Object.values(files).flat();
const WIDTH = 1216;

/** The lines drawn nearest to a main mark, and how near in px. */
function nearestToMark({ instrument, position }: Drawing): number[] {
  const { lines } = instrument;
  const frame = frameAt(lines, position, WIDTH);
  const misfits = fineLinesAt(lines, frame, position).map(({ x, line }) => {
    const marks = (x / frame.perUnit + frame.start) / lines.division;
    return { line, misfit: Math.abs(marks - Math.round(marks)) * lines.division * frame.perUnit };
  });
  const least = Math.min(...misfits.map(({ misfit }) => misfit));
  return misfits.filter(({ misfit }) => misfit < least + 1e-5).map(({ line }) => line);
}

/** The thimble line drawn nearest to the datum line. */
function nearestToDatum({ instrument, position }: Drawing): number[] {
  const { thimble } = screwPlaces(instrument, position, WIDTH);
  const [nearest] = [...thimble].sort((a, b) => Math.abs(a.y - DATUM) - Math.abs(b.y - DATUM));
  return nearest ? [nearest.line] : [];
}

describe("the drawing is the proof", () => {
  it("has a thousand instruments", () => {
    expect(drawings).toHaveLength(1000);
  });

  it("draws just those lines at a mark that the core says meet", () => {
    const wrong = drawings.filter((drawing) => {
      const screw = drawing.instrument.traits.turns;
      const drawn = screw ? nearestToDatum(drawing) : nearestToMark(drawing);
      return drawn.join() !== drawing.lines.join();
    });
    expect(
      wrong.map(({ instrument, position, lines }) => ({ instrument, position, lines })),
    ).toEqual([]);
  });
});

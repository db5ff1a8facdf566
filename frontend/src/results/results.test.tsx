import { cleanup, screen } from "@testing-library/react";
import { afterEach, describe, expect, it } from "vitest";

import { quantity, show } from "../tests/fixtures";
import { ResultPanel } from "./ResultPanel";
import { Working } from "./Working";

afterEach(cleanup);

const RESULT = {
  count: 4,
  sentence: "(6.6 ± 0.5) mm",
  mean: 6.5625,
  low: 6.0625,
  high: 7.0625,
  relative_percent: "7.6",
};
const SLIP = {
  code: "main-mark-slip",
  level: "warning" as const,
  message: "Reading 4 stands one mark above the others.",
  observation: 3,
  suggestion: {},
  settled: false,
  without: "(6.32 ± 0.03) mm",
};

describe("the result", () => {
  it("says that a second look is open, and what it would be without", () => {
    show(<ResultPanel sheet="s" quantity={quantity({ result: RESULT, flags: [SLIP] })} />);
    expect(screen.getByText("result of four readings, one second look open")).toBeTruthy();
    expect(screen.getByTestId("sentence").textContent).toBe("D = (6.6 ± 0.5) mm");
    expect(screen.getByText("Without reading 4: (6.32 ± 0.03) mm")).toBeTruthy();
  });

  it("stands once the look is settled", () => {
    const flags = [{ ...SLIP, settled: true }];
    show(<ResultPanel sheet="s" quantity={quantity({ result: RESULT, flags })} />);
    expect(screen.getByText("result of four readings")).toBeTruthy();
    expect(screen.queryByText(/Without reading/)).toBeNull();
  });

  it("is none without readings", () => {
    show(<ResultPanel sheet="s" quantity={quantity({})} />);
    expect(screen.getByText("no reading yet, so no result")).toBeTruthy();
  });

  it("carries remarks and advice, in the words of the course", () => {
    const remarked = quantity({
      result: RESULT,
      hints: [{ code: "play", message: "The thimble has play." }],
      advice: "The scale decides now.",
    });
    show(<ResultPanel sheet="s" quantity={remarked} />, { words: { thimble: "drum" } });
    expect(screen.getByText("The drum has play.")).toBeTruthy();
    expect(screen.getByText("The scale decides now.")).toBeTruthy();
  });
});

describe("the working", () => {
  it("keeps hue and underline of every part", () => {
    const spans = [
      { text: "6", tint: "main" as const },
      { text: " + ", tint: "plain" as const },
      { text: "3 × 0.05", tint: "fine" as const },
    ];
    show(<Working steps={[{ label: "reading 1", spans }]} />);
    expect(screen.getByText("6").className).toBe("part-main mark-main");
    expect(screen.getByText("3 × 0.05").className).toBe("part-fine mark-fine");
  });
});

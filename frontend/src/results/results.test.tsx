import { cleanup, fireEvent, screen } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";

import type { Span, Step } from "../api";
import { quantity, show } from "../tests/fixtures";
import { BudgetBars } from "./Budget";
import { Compare, ComparedWords } from "./Compare";
import { ResultPanel } from "./ResultPanel";
import { Working } from "./Working";

afterEach(cleanup);

/** A piece of text in a line of working. */
const text = (words: string, tint: Span["tint"] = "plain", source = ""): Span => ({
  form: "text",
  text: words,
  tint,
  source,
  keeps: false,
  first: [],
  second: [],
});

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
  remedies: [],
  zero_check: null,
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

  it("carries remarks and advice", () => {
    const remarked = quantity({
      result: RESULT,
      hints: [{ code: "play", message: "The drum has play." }],
      advice: "The scale decides now.",
    });
    show(<ResultPanel sheet="s" quantity={remarked} />);
    expect(screen.getByText("The drum has play.")).toBeTruthy();
    expect(screen.getByText("The scale decides now.")).toBeTruthy();
  });
});

describe("the working", () => {
  it("keeps hue and underline of every part", () => {
    const spans = [text("6", "main"), text(" + "), text("3 × 0.05", "fine")];
    show(
      <Working
        steps={[{ key: "reading_1", group: "reading", label: "reading 1", reading: 0, spans }]}
      />,
    );
    expect(screen.getByText("6").className).toBe("part-main mark-main");
    expect(screen.getByText("3 × 0.05").className).toBe("part-fine mark-fine");
  });

  it("sets fractions, roots and powers, and numbers lead to where they come from", () => {
    const followed: string[] = [];
    const squared: Span = {
      ...text(""),
      form: "power",
      first: [text("0.1", "plain", "part-reading")],
      second: [text("2")],
    };
    const root: Span = { ...text(""), form: "root", first: [squared] };
    const over: Span = { ...text(""), form: "over", first: [root], second: [text("3")] };
    const steps: Step[] = [
      {
        key: "uncertainty",
        group: "result",
        label: "uncertainty",
        reading: null,
        spans: [over, text("0.03", "result", "mean")],
      },
    ];
    const { container } = show(
      <Working steps={steps} at="uncertainty" onFollow={(source) => followed.push(source)} />,
    );
    expect(container.querySelector("math > mfrac msqrt msup")?.textContent).toBe("0.12");
    fireEvent.click(screen.getByText("0.1"));
    fireEvent.keyDown(screen.getByText("0.1"), { key: "Enter" });
    fireEvent.click(screen.getByText("0.03"));
    expect(followed).toEqual(["part-reading", "part-reading", "mean"]);
    expect(container.querySelector("[data-found='true']")?.textContent).toContain("uncertainty");
  });

  it("shows a reading on the scales", () => {
    const look = vi.fn();
    const steps: Step[] = [
      { key: "reading_2", group: "reading", label: "reading 3", reading: 2, spans: [] },
    ];
    show(<Working steps={steps} onLook={look} />);
    fireEvent.click(screen.getByText("on the scales"));
    expect(look).toHaveBeenCalledWith(2);
  });
});

describe("the budget", () => {
  it("draws what lost hollow and says what would help", () => {
    const shares = [
      { label: "scatter", size: "0.50 mm", percent: 100, percent_words: "100 %", lost: false },
      { label: "reading limit", size: "0.025 mm", percent: 0, percent_words: "0 %", lost: true },
    ];
    const { container } = show(
      <BudgetBars budget={{ shares, sentences: ["Look for its cause."] }} />,
    );
    const rows = [...container.querySelectorAll("li")];
    expect(rows.map((row) => row.textContent)).toEqual([
      "scatter100 %0.50 mm",
      "reading limit0 %0.025 mm",
    ]);
    expect(rows[1]?.dataset.lost).toBe("true");
    expect(screen.getByText("Look for its cause.")).toBeTruthy();
  });
});

describe("a comparison", () => {
  const compared = {
    quantity: null,
    derived: null,
    value: "6.3",
    uncertainty: "0.1",
    unit: "mm",
    with: "(6.3 ± 0.1) mm",
    sentences: ["It is exactly that."],
    bands: null,
  };

  it("says how far the two are apart, and begins again from what was typed", () => {
    const onCompare = vi.fn();
    show(
      <>
        <ComparedWords compared={compared} />
        <Compare compared={compared} unit="mm" others={[]} onCompare={onCompare} />
      </>,
    );
    expect(screen.getByText("Beside (6.3 ± 0.1) mm")).toBeTruthy();
    fireEvent.click(screen.getByText("Compare with something else"));
    fireEvent.change(screen.getByLabelText("expected value"), { target: { value: "6.4" } });
    fireEvent.click(screen.getByRole("button", { name: "Compare" }));
    expect(onCompare).toHaveBeenCalledWith({ value: "6.4", uncertainty: "0.1", unit: "mm" });
  });

  it("stands beside another result of the sheet", () => {
    const onCompare = vi.fn();
    const others = [
      { kind: "quantity" as const, id: "d", name: "Lower spreader" },
      { kind: "derived" as const, id: "d", name: "Wall" },
    ];
    const beside = { ...compared, derived: "d", value: "" };
    show(<Compare compared={beside} unit="mm" others={others} onCompare={onCompare} />);
    fireEvent.click(screen.getByText("Compare with something else"));
    expect(screen.getByText("Wall")).toBeTruthy();
    fireEvent.click(screen.getByRole("button", { name: "Compare" }));
    expect(onCompare).toHaveBeenCalledWith({ derived: "d" });
  });

  it("can be taken away", () => {
    const onCompare = vi.fn();
    show(<Compare compared={compared} unit="mm" others={[]} onCompare={onCompare} />);
    fireEvent.click(screen.getByText("Compare with something else"));
    fireEvent.click(screen.getByText("Stop comparing"));
    expect(onCompare).toHaveBeenCalledWith(null);
  });
});

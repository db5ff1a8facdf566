import { cleanup, fireEvent, screen } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";

import type { Instrument } from "../api";
import { ANSWER, CALIPER, SCREW, show } from "../tests/fixtures";
import { Strip } from "./Strip";

afterEach(cleanup);

function strip(some: Partial<Parameters<typeof Strip>[0]> = {}) {
  const props = {
    instrument: CALIPER,
    position: 6.15,
    live: true,
    answer: ANSWER,
    zeroError: -0.15,
    face: "outside",
    label: "scales",
    readOut: "6.15",
    onMove: vi.fn(),
    onRelease: vi.fn(),
    ...some,
  };
  show(<Strip {...props} />);
  return props;
}

const drawn = (selector: string) => document.querySelectorAll(selector);

describe("a caliper", () => {
  it("has all its fine lines, the one that meets standing out", () => {
    strip();
    expect(drawn(".fine-scale .line")).toHaveLength(21);
    expect(drawn(".fine-scale .meeting")).toHaveLength(1);
    expect(drawn(".beam .passed text")).toHaveLength(0);
    expect(drawn(".beam .passed")).toHaveLength(1);
  });

  it("shows the neighbours on opposite sides in the lens, with words", () => {
    strip();
    expect(screen.getByText("0.05 right of 10")).toBeTruthy();
    expect(screen.getByText("0.05 left of 14")).toBeTruthy();
    expect(screen.getByText("line 3 = 1½")).toBeTruthy();
  });

  it("keeps the lens empty while nothing is entered", () => {
    strip({ live: false });
    expect(screen.getByText(/as soon as you type it/)).toBeTruthy();
    expect(drawn(".fine-scale .meeting")).toHaveLength(0);
  });

  it("shows the zero error as the offset between faces and scale", () => {
    strip({ zeroError: 0 });
    const without = Number(drawn(".object")[0]?.getAttribute("width"));
    cleanup();
    strip({ zeroError: -1 });
    const wider = Number(drawn(".object")[0]?.getAttribute("width"));
    // One millimetre at 1200 px for the 39 mm of the fine scale with its room.
    expect(wider - without).toBeCloseTo(1200 / (39 * 1.32), 6);
  });

  it.each([
    ["ArrowRight", false, 6.2],
    ["ArrowLeft", false, 6.1],
    ["ArrowUp", true, 6.65],
  ])("moves by keys: %s", (key, shiftKey, position) => {
    const { onMove, onRelease } = strip();
    fireEvent.keyDown(screen.getByRole("slider"), { key, shiftKey });
    expect(vi.mocked(onMove).mock.calls[0]?.[0]).toBeCloseTo(position, 9);
    expect(onRelease).toHaveBeenCalled();
  });

  it("does not leave its beam", () => {
    const { onMove } = strip({ position: 151 });
    fireEvent.keyDown(screen.getByRole("slider"), { key: "ArrowRight", shiftKey: true });
    expect(vi.mocked(onMove).mock.calls[0]?.[0]).toBe(151);
  });

  it("can have its fine scale above and inches on the other edge", () => {
    const appearance = { ...CALIPER.appearance, fine_side: "above" as const, second_edge: true };
    strip({ instrument: { ...CALIPER, appearance } });
    expect(drawn(".second-edge").length).toBeGreaterThan(10);
    const line = drawn(".fine-scale .line line")[0];
    expect(Number(line?.getAttribute("y2"))).toBeLessThan(Number(line?.getAttribute("y1")));
  });

  it.each(["inside", "depth"])("has other faces for %s", (face) => {
    strip({ face });
    expect(drawn(".jaw-moving")).toHaveLength(1);
    expect(drawn(".object").length).toBeGreaterThan(0);
  });

  it("is drawn without faces where only the scales matter", () => {
    strip({ face: null });
    expect(drawn(".jaws")).toHaveLength(0);
  });
});

describe("a screw gauge", () => {
  const answer = { ...ANSWER, main: { ...ANSWER.main, value: "4.5" }, meets: null, neighbours: [] };
  const at = (position: number, instrument: Instrument = SCREW) =>
    strip({
      instrument,
      position,
      answer: { ...answer, fine: { ...ANSWER.fine, value: "38", seen: [38] }, position },
    });

  it("has the line at the datum line standing out, on the thimble and in the lens", () => {
    at(4.88);
    expect(drawn(".thimble-line.meeting")).toHaveLength(1);
    expect(drawn(".screw-lens .meets text")[0]?.textContent).toBe("38");
  });

  it("shows the sleeve up to the edge of the thimble, half marks on the other side", () => {
    at(4.88);
    expect(drawn(".sleeve-mark text")).toHaveLength(5);
    expect(drawn(".sleeve-mark")).toHaveLength(10);
    const [whole, half] = [...drawn(".sleeve-mark line")].map((line) =>
      Number(line.getAttribute("y2")),
    );
    expect(whole).toBeLessThan(118);
    expect(half).toBeGreaterThan(118);
  });

  it("turns the other way where its numerals grow downwards", () => {
    const heights = () =>
      [...drawn(".thimble-line text")].map((text) => [
        Number(text.textContent),
        Number(text.getAttribute("y")),
      ]);
    at(4.88);
    const up = heights().find(([numeral]) => numeral === 40)?.[1] ?? NaN;
    cleanup();
    const appearance = { ...SCREW.appearance, thimble_numerals: "down" as const };
    at(4.88, { ...SCREW, appearance });
    const down = heights().find(([numeral]) => numeral === 40)?.[1] ?? NaN;
    expect(up).toBeLessThan(118);
    expect(down).toBeGreaterThan(118);
  });
});

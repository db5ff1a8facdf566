import { cleanup, fireEvent, screen } from "@testing-library/react";
import { createRef } from "react";
import { afterEach, describe, expect, it, vi } from "vitest";

import type { FineAs, Instrument } from "../api";
import { EMPTY, type Desk, type Entry } from "../entry/useDesk";
import { speak } from "../setup";
import { ANSWER, CALIPER, SCREW, show } from "../tests/fixtures";
import { Equation, type Ending, type EquationHandle } from "./Equation";

afterEach(cleanup);

function desk(some: Partial<Desk> = {}, entry: Partial<Entry> = {}): Desk {
  return {
    entry: { ...EMPTY, ...entry },
    answer: null,
    settled: false,
    away: false,
    refused: "",
    faulty: false,
    type: vi.fn(),
    move: vi.fn(),
    release: vi.fn(),
    split: vi.fn(),
    clear: vi.fn(),
    ...some,
  };
}

const FULL = { main: "6", fine: "3" };
const answered = (some: Partial<Desk> = {}) =>
  desk({ answer: ANSWER, settled: true, ...some }, FULL);

interface Options {
  instrument?: Instrument;
  fineAs?: FineAs;
}

function equation(given: Desk, { instrument = CALIPER, fineAs = "line" }: Options = {}) {
  const onEnter = vi.fn();
  const ref = createRef<EquationHandle>();
  const ending: Ending = {
    readAs: "read",
    less: { label: "zero error", part: "zero", as: "minus", node: "(−0.15)" },
    outcome: { label: "corrected", text: given.answer?.corrected },
  };
  show(<Equation ref={ref} desk={given} {...{ instrument, fineAs, ending, onEnter }} />);
  return { onEnter, handle: ref };
}

const main = () => screen.getByLabelText<HTMLInputElement>("main reading");
const fine = () => screen.getByLabelText<HTMLInputElement>("line that meets");

describe("the equation", () => {
  it("says of each blank whether its figure is wrong", () => {
    const wrong = { ...ANSWER, main: { ...ANSWER.main, fault: "no mark there" } };
    equation(answered({ answer: wrong }));
    expect(main().getAttribute("aria-invalid")).toBe("true");
    expect(fine().getAttribute("aria-invalid")).toBe("false");
  });

  it("shows read and corrected apart, each with its own name", () => {
    equation(answered());
    const [read, corrected] = document.querySelectorAll("output");
    expect([read?.textContent, corrected?.textContent]).toEqual(["6.15", "6.30"]);
    expect(screen.getByText("corrected")).toBeTruthy();
  });

  it("says how to record while nothing is entered", () => {
    equation(desk());
    expect(screen.getByText(/6 space 3 Enter/)).toBeTruthy();
  });

  it("shows what was typed and that it waits while the server is away", () => {
    equation(desk({ away: true }, FULL));
    expect(main().value).toBe("6");
    expect(screen.getAllByText("waiting")).toHaveLength(2);
  });

  it("hands on what is typed", () => {
    const given = desk();
    equation(given);
    fireEvent.change(main(), { target: { value: "6,5" } });
    expect(given.type).toHaveBeenCalledWith({ main: "6,5" });
  });

  it.each([" ", "+"])("goes to the fine blank on %j", (key) => {
    equation(desk());
    main().focus();
    fireEvent.keyDown(main(), { key });
    expect(document.activeElement).toBe(fine());
  });

  it("goes to the fine blank on Enter while that is empty, and records afterwards", () => {
    const { onEnter } = equation(desk({}, { main: "6" }));
    main().focus();
    fireEvent.keyDown(main(), { key: "Enter" });
    expect(document.activeElement).toBe(fine());
    expect(onEnter).not.toHaveBeenCalled();
    fireEvent.keyDown(fine(), { key: "Enter" });
    expect(onEnter).toHaveBeenCalledOnce();
  });

  it.each([
    ["main reading", "ArrowUp", false, 7.15],
    ["main reading", "ArrowDown", true, -3.85],
    ["line that meets", "ArrowUp", false, 6.2],
    ["line that meets", "ArrowDown", true, 5.65],
  ])("moves a mark or a line from the %s on %s", (label, key, shiftKey, position) => {
    const given = answered();
    equation(given);
    fireEvent.keyDown(screen.getByLabelText(label), { key, shiftKey });
    expect(vi.mocked(given.move).mock.calls[0]?.[0]).toBeCloseTo(position, 9);
    expect(given.release).toHaveBeenCalled();
  });

  it("is emptied by Escape, and goes back on Backspace in an empty fine blank", () => {
    const given = desk({}, { main: "6" });
    equation(given);
    fine().focus();
    fireEvent.keyDown(fine(), { key: "Backspace" });
    expect(document.activeElement).toBe(main());
    fireEvent.keyDown(main(), { key: "Escape" });
    expect(given.clear).toHaveBeenCalled();
  });

  it("tells a fault beside the blank and keeps what was typed", () => {
    const fault = { ...ANSWER, main: { ...ANSWER.main, value: null, fault: "6.4 is not a mark." } };
    equation(desk({ answer: fault, settled: true }, { main: "6.4", fine: "3" }));
    expect(screen.getByRole("alert").textContent).toBe("6.4 is not a mark.");
    expect(main().value).toBe("6.4");
  });

  it.each([
    ["numeral", "numeral that meets", "= 0.15 mm"],
    ["worth", "fine part", "mm"],
    ["line", "line that meets", "× 0.05 mm"],
  ] as const)("takes the %s", (fineAs, label, factor) => {
    equation(answered(), { fineAs });
    const term = screen.getByLabelText(label).closest(".term-body");
    expect(term?.textContent).toBe(factor);
  });

  it("speaks of sleeve and thimble on a screw, in the words of the course", () => {
    speak({ thimble: "drum", sleeve: "barrel" });
    equation(answered(), { instrument: SCREW });
    speak();
    expect(screen.getByText("barrel")).toBeTruthy();
    expect(screen.getByText("drum line")).toBeTruthy();
  });

  it("asks for the turn where the sleeve marks every second one only", () => {
    const given = answered();
    const lines = { ...SCREW.lines, two_turns: true };
    equation(given, { instrument: { ...SCREW, lines } });
    fireEvent.click(screen.getByRole("checkbox"));
    expect(given.type).toHaveBeenCalledWith({ secondTurn: true });
  });

  it("does what the key pad says to the blank that has the cursor", () => {
    const given = desk({}, { main: "6", fine: "1" });
    const { handle } = equation(given);
    main().focus();
    handle.current?.press("4");
    handle.current?.press("next");
    handle.current?.press("2");
    handle.current?.press("back");
    expect(vi.mocked(given.type).mock.calls).toEqual([
      [{ main: "64" }],
      [{ fine: "12" }],
      [{ fine: "" }],
    ]);
  });
});

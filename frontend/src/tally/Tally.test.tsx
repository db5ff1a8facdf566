import { cleanup, fireEvent, screen, within } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";

import type { Flag, Remedy } from "../api";
import type { Waiting } from "../outbox/outbox";
import { CALIPER, quantity, reading, show, ENTERED } from "../tests/fixtures";
import type { LookActions } from "./SecondLook";
import { Tally } from "./Tally";

afterEach(cleanup);

const actions = (): LookActions => ({
  show: vi.fn(),
  lookAgain: vi.fn(),
  change: vi.fn(),
  amend: vi.fn(),
  setAside: vi.fn(),
  countAgain: vi.fn(),
  photograph: vi.fn(),
});

const remedy = (act: Remedy["act"], label: string, fields = {}): Remedy => ({
  ...{ act, label, fields, target: "reading", why: "" },
});

const SLIP: Flag = {
  code: "main-mark-slip",
  level: "warning",
  message: "Reading 2 stands one mark above the others.",
  observation: 1,
  zero_check: null,
  settled: false,
  remedies: [
    remedy("look-again", "Look again"),
    remedy("amend", "I misread, it was 6", { main: "6" }),
    remedy("set-aside", "Set aside…"),
    remedy("amend", "It is right", { looked_again: ["main-mark-slip"] }),
  ],
  without: "(6.30 ± 0.03) mm",
};

const SECOND = reading({ id: "b", main: "7", read: "7.15", corrected: "7.30", value: 7.3 });
const readings = [
  reading({ id: "a", place: "end A" }),
  SECOND,
  reading({ id: "c", excluded: "a burr", value: 9 }),
];

function shown(some: Partial<Parameters<typeof Tally>[0]> = {}, settings = {}) {
  const props = {
    sheet: "s",
    quantity: quantity({ readings, flags: [SLIP] }),
    instrument: CALIPER,
    reopened: null,
    asked: null,
    actions: actions(),
    blind: false,
    waiting: [],
    ...some,
  };
  show(<Tally {...props} />, settings);
  return props;
}

const rows = () => document.querySelectorAll("tr.reading");

describe("the tally", () => {
  it("has a row and a dot for every reading", () => {
    shown();
    expect(rows()).toHaveLength(3);
    expect(screen.getByText("end A")).toBeTruthy();
  });

  it("keeps what was set aside, struck through, with its reason", () => {
    shown();
    expect(rows()[2]?.className).toContain("excluded");
    expect(screen.getByText("set aside: a burr")).toBeTruthy();
  });

  it("marks a dot off the axis at its edge, with its figure", () => {
    shown();
    expect(screen.getByText("7.30 ›")).toBeTruthy();
  });

  it("shows the old figure of a reading that was changed", () => {
    const history = [{ main: "7", line: "3", at: "", why: "misread" }];
    shown({ quantity: quantity({ readings: [reading({ history })] }) });
    expect(document.querySelector("tr.reading s")?.textContent).toBe("7 ");
  });

  it("offers to look first, to correct second, to set aside third", () => {
    const { actions: acts } = shown();
    const look = document.querySelector<HTMLElement>(".look-acts");
    if (!look) throw new Error("no second look");
    const names = within(look)
      .getAllByRole("button")
      .map((button) => button.textContent);
    expect(names).toEqual(["Look again", "I misread, it was 6", "Set aside…", "It is right"]);
    fireEvent.click(screen.getByText("I misread, it was 6"));
    expect(acts.amend).toHaveBeenLastCalledWith(SECOND, SLIP.remedies[1]);
    fireEvent.click(screen.getByText("It is right"));
    expect(acts.amend).toHaveBeenLastCalledWith(SECOND, SLIP.remedies[3]);
    fireEvent.click(screen.getByText("Look again"));
    expect(acts.lookAgain).toHaveBeenCalledWith(SECOND);
  });

  it("asks no more about what was settled", () => {
    shown({ quantity: quantity({ readings, flags: [{ ...SLIP, settled: true }] }) });
    expect(document.querySelector(".second-look")).toBeNull();
  });

  it("hides all figures while reading blind", () => {
    shown({ blind: true });
    expect(rows()).toHaveLength(0);
    expect(screen.queryByText("6.30")).toBeNull();
  });

  it("shows what waits, and why something was refused", () => {
    const entered = { ...ENTERED, main: "8", fine: "2" };
    const waiting: Waiting = {
      id: "w",
      sheet: "s",
      quantity: "q",
      entered: [entered],
      fields: { place: "rim" },
      refused: "",
    };
    shown({ waiting: [waiting, { ...waiting, id: "x", refused: "8.4 is not a mark" }] });
    expect(screen.getByText(/nothing is lost/)).toBeTruthy();
    expect(screen.getByText(/8.4 is not a mark/)).toBeTruthy();
    expect(screen.getAllByText("Discard")).toHaveLength(1);
  });

  it("teaches the next step while it is empty", () => {
    shown({ quantity: quantity({}) });
    expect(screen.getByText(/Each one you record becomes a row/)).toBeTruthy();
  });
});

describe("a row", () => {
  it("hides its figures while it is looked at again", () => {
    shown({ reopened: { reading: SECOND, to: "again" } });
    expect(rows()[1]?.textContent).not.toContain("7.15");
    expect(rows()[1]?.textContent).toContain("looked at again");
  });

  it("is marked with a question that is asked elsewhere", () => {
    shown({ asked: SLIP });
    expect(screen.getByText(SLIP.message)).toBeTruthy();
    expect(screen.queryByText("It is right")).toBeNull();
  });
});

import { cleanup, fireEvent, screen } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";

import { SCREW, show } from "../tests/fixtures";
import { Turns } from "./Turns";

afterEach(cleanup);

const LOWER = {
  main: "4",
  second_turn: false,
  read: "4.48",
  position: 4.48,
  chosen: false,
  words: "last mark passed 4",
};
const UPPER = {
  main: "4.5",
  second_turn: false,
  read: "4.98",
  position: 4.98,
  chosen: true,
  words: "last mark passed 4.5",
};
const TURNS = [LOWER, UPPER];

function turns(some = TURNS, instrument = SCREW) {
  const onTurn = vi.fn();
  show(<Turns instrument={instrument} turns={some} onTurn={onTurn} />);
  return onTurn;
}
const buttons = () => screen.getAllByRole("button");
const within = (index: number, selector: string) => buttons()[index]?.querySelectorAll(selector);

describe("the two turns of a screw", () => {
  it("stand side by side, the one that was read marked", () => {
    turns();
    expect(buttons().map((button) => button.querySelector("span")?.textContent)).toEqual([
      "4.48",
      "4.98",
    ]);
    expect(buttons().map((button) => button.getAttribute("aria-pressed"))).toEqual([
      "false",
      "true",
    ]);
  });

  it("say what the sleeve shows", () => {
    turns();
    expect(screen.getByRole("button", { name: "4.48 mm, last mark passed 4" })).toBeTruthy();
  });

  it("draw one last mark passed, and faintly the one that only shows", () => {
    turns();
    expect(within(0, ".passed")).toHaveLength(1);
    expect(within(0, ".showing")).toHaveLength(1);
    expect(within(0, ".passed text")?.[0]?.textContent).toBe("4");
  });

  it("draw no next mark while it is far", () => {
    turns([{ ...LOWER, position: 4.2, read: "4.20" }]);
    expect(within(0, ".showing")).toHaveLength(0);
  });

  it("put half marks on the side where this sleeve has them", () => {
    const end = (index: number) => Number(within(index, ".passed line")?.[0]?.getAttribute("y2"));
    turns();
    const [whole, half] = [end(0), end(1)];
    cleanup();
    turns(TURNS, { ...SCREW, appearance: { ...SCREW.appearance, half_marks: "above" } });
    expect(whole).toBeLessThan(half);
    expect(end(0)).toBeGreaterThan(end(1));
  });

  it("give the turn that is tapped", () => {
    const onTurn = turns();
    fireEvent.click(screen.getByRole("button", { name: /4.48/ }));
    expect(onTurn).toHaveBeenCalledWith(LOWER);
  });
});

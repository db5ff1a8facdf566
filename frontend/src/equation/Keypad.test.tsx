import { cleanup, screen } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";

import { show } from "../tests/fixtures";
import { speak } from "../setup";
import { Keypad } from "./Keypad";

afterEach(cleanup);

describe("the key pad", () => {
  it("hands on its keys, and Record when there is something to record", () => {
    const keys: string[] = [];
    const pad = (recordable: boolean) => (
      <Keypad
        corrected="6.30 mm"
        kept="6.30 mm"
        act="Record"
        recordable={recordable}
        onKey={(key) => keys.push(key)}
        onRecord={() => keys.push("record")}
      />
    );
    show(pad(false));
    screen.getByLabelText("Record by thumb").click();
    cleanup();
    speak({}, true);
    show(pad(true));
    speak();
    for (const name of ["7", "Next blank", "minus", "Erase", "Record by thumb"])
      screen.getByLabelText(name, { exact: true }).click();
    expect(keys).toEqual(["7", "next", "-", "back", "record"]);
    expect(screen.getByText(",")).toBeTruthy();
  });

  it("writes degrees where another has the minus sign", () => {
    const keys: string[] = [];
    show(
      <Keypad
        corrected=""
        kept=""
        act="Keep"
        recordable
        angular
        onKey={(key) => keys.push(key)}
        onRecord={vi.fn()}
      />,
    );
    screen.getByLabelText("degrees, then minutes").click();
    expect(keys).toEqual([":"]);
    expect(screen.queryByLabelText("minus")).toBeNull();
  });

  it("confirms what was kept until the next figure takes its place", () => {
    const pad = (corrected: string, kept: string) => (
      <Keypad
        {...{ corrected, kept }}
        act="Record"
        recordable={false}
        onKey={vi.fn()}
        onRecord={vi.fn()}
      />
    );
    for (const [corrected, kept, said] of [
      ["", "", "…"],
      ["", "6.30 mm", "kept 6.30 mm"],
      ["6.35 mm", "6.30 mm", "6.35 mm"],
    ] as const) {
      show(pad(corrected, kept));
      expect(document.querySelector("output")?.textContent).toBe(said);
      cleanup();
    }
  });
});

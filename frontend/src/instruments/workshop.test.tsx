import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, fireEvent, screen, waitFor } from "@testing-library/react";
import type { ReactNode } from "react";
import { afterEach, describe, expect, it, vi } from "vitest";

import { ApiError, type Description } from "../api";
import { CALIPER, SCREW, show } from "../tests/fixtures";
import { AppearanceChoices } from "./AppearanceChoices";
import { ClosedScales } from "./ClosedScales";
import { Counting } from "./Counting";
import { STARTS, type Draft } from "./draft";
import { PARTS_DRAWN } from "./partsDrawn";
import { PitchSheet } from "./PitchSheet";
import { ToolFacts } from "./ToolFacts";

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const described = (instrument = CALIPER): Description => ({
  ...instrument,
  useless: false,
  slide: [],
});

/** A server that gives one answer to everything. */
function served(children: ReactNode, status: number, sent: unknown) {
  const answer = () =>
    Promise.resolve(
      new Response(JSON.stringify(sent), {
        status,
        headers: { "Content-Type": "application/json" },
      }),
    );
  vi.stubGlobal("fetch", vi.fn(answer));
  const queries = new QueryClient();
  return show(<QueryClientProvider client={queries}>{children}</QueryClientProvider>);
}

describe("counting", () => {
  it("asks a caliper for lines, marks and division", () => {
    const changed: Draft[] = [];
    show(<Counting draft={STARTS.vernier} problem={null} onChange={(d) => changed.push(d)} />);
    fireEvent.change(screen.getByLabelText("main division"), { target: { value: "0,5" } });
    expect(changed.at(-1)?.main_division).toBe("0,5");
    fireEvent.change(screen.getByLabelText("highest reading"), { target: { value: "200" } });
    expect(changed.at(-1)?.range).toEqual(["0", "200"]);
    expect(screen.queryByLabelText("pitch")).toBeNull();
  });

  it("asks a screw for its pitch, and a circle for no range", () => {
    const { unmount } = show(
      <Counting draft={STARTS.screw} problem={null} onChange={() => undefined} />,
    );
    expect(screen.getByLabelText("pitch")).toBeTruthy();
    unmount();
    show(<Counting draft={STARTS.angular} problem={null} onChange={() => undefined} />);
    expect(screen.queryByLabelText("highest reading")).toBeNull();
    expect(screen.getByText(/arc minutes/)).toBeTruthy();
  });

  it("tells every fault of the description", () => {
    const faults = [
      { pointer: "/span", message: "span is missing" },
      { pointer: "/main_division", message: "main_division is 0" },
    ];
    const problem = new ApiError("2 things are wrong", faults, 422);
    show(<Counting draft={STARTS.vernier} problem={problem} onChange={() => undefined} />);
    expect(screen.getByRole("alert").querySelectorAll("li")).toHaveLength(2);
  });
});

describe("appearance", () => {
  it("offers a caliper its own choices, and a screw others", () => {
    const onChange = vi.fn();
    const { unmount } = show(
      <AppearanceChoices draft={STARTS.vernier} description={described()} onChange={onChange} />,
    );
    fireEvent.click(screen.getByLabelText("the other edge shows inches"));
    expect(onChange).toHaveBeenCalledWith({ ...STARTS.vernier, second_edge: true });
    fireEvent.click(screen.getByText("above"));
    expect(onChange).toHaveBeenCalledWith({ ...STARTS.vernier, fine_side: "above" });
    unmount();
    show(
      <AppearanceChoices draft={STARTS.screw} description={described(SCREW)} onChange={onChange} />,
    );
    fireEvent.click(screen.getByText("downwards"));
    expect(onChange).toHaveBeenCalledWith({ ...STARTS.screw, thimble_numerals: "down" });
    expect(screen.queryByLabelText("the other edge shows inches")).toBeNull();
  });
});

describe("the pitch worksheet", () => {
  const found = {
    pitches: ["0.5"],
    mean: "0.49",
    spread: "0.01",
    usual: "0.5",
    least_count: "0.01",
    warnings: ["Trial 1: was a turn miscounted?"],
  };
  const fill = () => {
    fireEvent.change(screen.getByLabelText("before, trial 1"), { target: { value: "2" } });
    fireEvent.change(screen.getByLabelText("after, trial 1"), { target: { value: "7" } });
    fireEvent.click(screen.getByText("Work it out"));
  };

  it("shows pitch, spread, least count and warnings, and hands the usual pitch on", async () => {
    const onChange = vi.fn();
    served(<PitchSheet draft={{ ...STARTS.screw, pitch: "1" }} onChange={onChange} />, 200, found);
    fill();
    await waitFor(() => {
      expect(screen.getByTestId("pitch").textContent).toBe(
        "pitch 0.49 ± 0.01 mm, so it must be 0.5 mm; least count 0.01 mm",
      );
    });
    expect(screen.getByText("Trial 1: was a turn miscounted?")).toBeTruthy();
    fireEvent.click(screen.getByText("Use it"));
    expect(onChange).toHaveBeenCalledWith({ ...STARTS.screw, pitch: "0.5" });
  });

  it("tells what is wrong with a figure and keeps it", async () => {
    const refusal = { message: "two is not a number", faults: [] };
    served(<PitchSheet draft={STARTS.screw} onChange={() => undefined} />, 422, refusal);
    fill();
    await waitFor(() => {
      expect(screen.getByRole("alert").textContent).toBe("two is not a number");
    });
    expect(screen.getByLabelText<HTMLInputElement>("after, trial 1").value).toBe("7");
  });

  it("takes more trials, and works nothing out while none is filled", () => {
    served(<PitchSheet draft={STARTS.screw} onChange={() => undefined} />, 200, found);
    fireEvent.click(screen.getByText("One more trial"));
    expect(screen.getByLabelText("before, trial 3")).toBeTruthy();
    expect(screen.getByText("Work it out").closest("button")?.disabled).toBe(true);
  });
});

describe("closed scales", () => {
  const circle = {
    ...CALIPER,
    kind: "angular" as const,
    unit: "arcmin",
    lines: { ...CALIPER.lines, main_unit: "°", main_every: 2, main_step: 1, low: null, high: null },
  };

  it.each([
    ["caliper", CALIPER, ".fine-scale"],
    ["screw", SCREW, ".thimble-line"],
    ["circle", circle, ".beam"],
  ])("draw a %s", (_, instrument, part) => {
    show(<ClosedScales instrument={instrument} />);
    expect(document.querySelectorAll(part).length).toBeGreaterThan(0);
  });
});

describe("the drawn parts", () => {
  it.each(Object.entries(PARTS_DRAWN))("of a %s each have one label", (_, parts) => {
    const ids = new Set(parts.map(({ id }) => id));
    for (const id of ids)
      expect(parts.filter((part) => part.id === id && part.label)).toHaveLength(1);
  });
});

describe("what stands on a tool besides its scales", () => {
  it("is noted, a decimal comma as a point, nothing as nothing", () => {
    const given: unknown[] = [];
    show(<ToolFacts draft={STARTS.vernier} onChange={(some) => given.push(some)} />);
    fireEvent.change(screen.getByLabelText("limit of error its maker gives, mm"), {
      target: { value: "0,03" },
    });
    fireEvent.change(screen.getByLabelText("number engraved on it"), { target: { value: "17" } });
    cleanup();
    show(<ToolFacts draft={{ maker_limit: "0.03" }} onChange={(some) => given.push(some)} />);
    fireEvent.change(screen.getByLabelText("limit of error its maker gives, mm"), {
      target: { value: "" },
    });
    expect(given).toEqual([{ maker_limit: "0.03" }, { number: "17" }, { maker_limit: null }]);
  });
});

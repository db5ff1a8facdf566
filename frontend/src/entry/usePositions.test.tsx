import { act, renderHook } from "@testing-library/react";
import { describe, expect, it } from "vitest";

import { ANSWER, ENTERED } from "../tests/fixtures";
import { asLooks, usePositions } from "./usePositions";

describe("the looks of a reading", () => {
  it("stand alone, in a pair, or by window", () => {
    expect(asLooks(["one"])).toBe("one");
    expect(asLooks(["one", "two"])).toEqual({ a: "one", b: "two" });
    expect(asLooks(["one", "two", "three", "four"])).toEqual({
      a: "one",
      a2: "two",
      b: "three",
      b2: "four",
    });
    expect(() => asLooks([])).toThrow(RangeError);
  });
});

describe("the positions of a reading", () => {
  it("are kept as they were typed while the server is away", () => {
    const { result } = renderHook(() => usePositions("pair"));
    act(() => result.current.keep(ENTERED, null));
    expect(result.current.kept).toEqual([
      { entered: ENTERED, figures: null, read: "6 + 3", position: null },
    ]);
    expect(result.current.name).toBe("second position");
  });

  it("are none for a single look", () => {
    const { result } = renderHook(() => usePositions("single"));
    expect(result.current).toMatchObject({ name: "", before: null, more: false });
  });

  it("are read in both windows before the next position", () => {
    const { result } = renderHook(() => usePositions("pair with two windows"));
    const names = [result.current.name];
    for (let entered = 0; entered < 3; entered += 1) {
      expect(result.current.more).toBe(true);
      act(() => result.current.keep(ENTERED, ANSWER));
      names.push(result.current.name);
    }
    expect(names).toEqual([
      "first position, window 1",
      "first position, window 2",
      "second position, window 1",
      "second position, window 2",
    ]);
    expect(result.current.more).toBe(false);
    expect(result.current.before?.name).toBe("second position, window 1");
  });

  it("are taken back one by one, and keep nothing that is no reading", () => {
    const { result } = renderHook(() => usePositions("pair"));
    act(() => result.current.keep(ENTERED, { ...ANSWER, read: null }));
    expect(result.current.kept).toEqual([]);
    act(() => result.current.keep(ENTERED, ANSWER));
    expect(result.current.kept[0]?.read).toBe("6.15");
    expect(result.current.kept[0]?.figures).toEqual({ main: "6", fine: 3, second_turn: null });
    act(() => result.current.takeBack());
    expect(result.current).toMatchObject({ before: null, name: "first position" });
  });
});

import { describe, expect, it } from "vitest";

import { ApiError, type Answer } from "../api";
import { ANSWER } from "../tests/fixtures";
import { EMPTY, figuresOf, isEmpty, isFaulty, step, unheard } from "./useDesk";

const answer = (seq: number, main: string, fine: string): Answer => ({
  ...ANSWER,
  seq,
  main: { ...ANSWER.main, value: main, typed: main },
  fine: { ...ANSWER.fine, value: fine, typed: fine },
});

const START = {
  seq: 0,
  entry: EMPTY,
  answer: null,
  asked: null,
  away: false,
  refused: "",
  over: {},
  resting: false,
  splitting: false,
};

describe("typing", () => {
  it("is numbered, and keeps the answer before until the next one comes", () => {
    const typed = step(START, { type: "typed", entry: { main: "6" } });
    const answered = step(typed, { type: "answered", answer: answer(1, "6", "3"), asked: EMPTY });
    const more = step(answered, { type: "typed", entry: { fine: "3" } });
    expect(more.seq).toBe(2);
    expect(more.answer?.seq).toBe(1);
    expect(more.entry).toMatchObject({ main: "6", fine: "3", position: null, secondTurn: null });
  });

  it("is not overwritten by an answer", () => {
    const typed = step(START, { type: "typed", entry: { main: "6,0" } });
    const answered = step(typed, { type: "answered", answer: answer(1, "6", "3"), asked: EMPTY });
    expect(answered.entry.main).toBe("6,0");
  });

  it("ignores an answer that is older than the one it has", () => {
    let state = step(START, { type: "typed", entry: { main: "6" } });
    state = step(state, { type: "typed", entry: { main: "61" } });
    state = step(state, { type: "answered", answer: answer(2, "61", "3"), asked: EMPTY });
    expect(
      step(state, { type: "answered", answer: answer(1, "6", "3"), asked: EMPTY }).answer?.seq,
    ).toBe(2);
  });
});

describe("dragging", () => {
  const moved = step(START, { type: "moved", position: 6.137 });

  it("gives the other figure to what is typed before the scales have come to rest", () => {
    const released = step(moved, { type: "released" });
    const typed = step(released, { type: "typed", entry: { fine: "9" } });
    expect(typed.entry).toMatchObject({ main: "", fine: "9", position: 6.137 });
    const come = { type: "answered", answer: answer(1, "6", "3"), asked: EMPTY } as const;
    const known = step(typed, come);
    expect(known.entry).toMatchObject({ main: "6", fine: "9", position: null });
    // That figure is asked about anew.
    expect(known.seq).toBe(3);
    const more = step(known, { type: "typed", entry: { fine: "97" } });
    expect(more.entry).toMatchObject({ main: "6", fine: "97", position: null });
  });

  it("fills the blanks from the answer and stays where the hand is", () => {
    const answered = step(moved, { type: "answered", answer: answer(1, "6", "3"), asked: EMPTY });
    expect(answered.entry).toMatchObject({
      main: "6",
      fine: "3",
      position: 6.137,
      secondTurn: false,
    });
  });

  it("comes to rest when it is let go after the answer", () => {
    const answered = step(moved, { type: "answered", answer: answer(1, "6", "3"), asked: EMPTY });
    expect(step(answered, { type: "released" }).entry.position).toBeNull();
  });

  it("comes to rest with the answer when it is let go before it", () => {
    const released = step(moved, { type: "released" });
    expect(released.entry.position).toBe(6.137);
    const answered = step(released, {
      type: "answered",
      answer: answer(1, "6", "3"),
      asked: EMPTY,
    });
    expect(answered.entry.position).toBeNull();
  });
});

describe("clearing", () => {
  it("forgets an answer that is still on its way", () => {
    const typed = step(START, { type: "typed", entry: { main: "6" } });
    const cleared = step(typed, { type: "cleared" });
    const late = step(cleared, { type: "answered", answer: answer(1, "6", "3"), asked: EMPTY });
    expect(late.answer).toBeNull();
    expect(isEmpty(late.entry)).toBe(true);
  });
});

describe("the blanks while the scales are dragged", () => {
  it("take what would be typed at the bench, not what a file holds", () => {
    const moved = step(START, { type: "moved", position: 52 });
    const dragged: Answer = {
      ...answer(1, "52", "16"),
      main: { ...ANSWER.main, value: "52", typed: "5.2" },
      fine: { ...ANSWER.fine, value: "16", typed: "3.2" },
    };
    const told = step(moved, { type: "answered", answer: dragged, asked: moved.entry });
    expect([told.entry.main, told.entry.fine]).toEqual(["5.2", "3.2"]);
  });
});

describe("what a logbook holds", () => {
  it("is a whole line as a number, an estimated one as a text", () => {
    expect(figuresOf(answer(1, "6", "3"))).toEqual({ main: "6", fine: 3, second_turn: null });
    expect(figuresOf(answer(1, "6", "3.4"))?.fine).toBe("3.4");
    expect(figuresOf(answer(1, "6", "15-16"))?.fine).toBe("15-16");
  });

  it("is nothing before both figures are there", () => {
    expect(figuresOf({ ...answer(1, "6", "3"), read: null })).toBeNull();
  });

  it("says so if the thimble is in its second turn", () => {
    expect(figuresOf({ ...answer(1, "6", "3"), second_turn: true })?.second_turn).toBe(true);
  });
});

describe("a fault", () => {
  const typed = step(START, { type: "typed", entry: { main: "8.4" } });
  const faulty: Answer = {
    ...answer(1, "8.4", "3"),
    main: { ...ANSWER.main, value: null, fault: "8.4 is not a mark" },
    read: null,
  };
  const told = step(typed, { type: "answered", answer: faulty, asked: typed.entry });

  it("holds while the figure stands, whatever is typed beside it", () => {
    expect(isFaulty(typed)).toBe(false);
    expect(isFaulty(told)).toBe(true);
    expect(isFaulty(step(told, { type: "typed", entry: { fine: "3" } }))).toBe(true);
  });

  it("is over as soon as the figure is another", () => {
    expect(isFaulty(step(told, { type: "typed", entry: { main: "8" } }))).toBe(false);
    expect(isFaulty(step(told, { type: "cleared" }))).toBe(false);
  });
});

describe("a reading said as one", () => {
  const typed = step(START, { type: "typed", entry: { main: "7.25" } });
  const whole = { ...answer(1, "7", "5"), whole: true };
  const heard = { type: "answered", answer: whole, asked: typed.entry } as const;

  it("is taken apart when that is asked for, before its answer came or after", () => {
    const before = step(step(typed, { type: "split" }), heard);
    const after = step(step(typed, heard), { type: "split" });
    for (const apart of [before, after])
      expect(apart).toMatchObject({ seq: 2, splitting: false, entry: { main: "7", fine: "5" } });
  });

  it("stays as it is while it is typed on", () => {
    const on = step(step(typed, { type: "split" }), { type: "typed", entry: { fine: "3" } });
    const answered = step(on, { ...heard, answer: { ...whole, seq: 2 } });
    expect(answered.entry).toMatchObject({ main: "7.25", fine: "3" });
  });
});

describe("no answer", () => {
  it("is a server that is away, or one that says why it will not answer", () => {
    expect(unheard(new ApiError("nothing heard", [], 0))).toEqual({ type: "away" });
    expect(unheard(new ApiError("broken", [], 503))).toEqual({ type: "away" });
    expect(unheard(new TypeError("no network"))).toEqual({ type: "away" });
    const gone = new ApiError("there is no instrument “x” here", [], 404);
    expect(unheard(gone)).toEqual({ type: "refused", why: gone.message });
  });

  it("does not pass for being away, and is over with the next key", () => {
    const refused = step({ ...START, away: true }, { type: "refused", why: "gone" });
    expect([refused.away, refused.refused]).toEqual([false, "gone"]);
    expect(step(refused, { type: "typed", entry: { main: "6" } }).refused).toBe("");
  });
});

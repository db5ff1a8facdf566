import { useQueryClient } from "@tanstack/react-query";
import { useCallback, useEffect, useId, useReducer, useRef } from "react";

import {
  ApiError,
  body,
  client,
  type Answer,
  type FineAs,
  type MainAs,
  type Numerals,
  type Schemas,
} from "../api";

/** What is being entered: typed figures, or a place the slider was dragged to. */
export interface Entry {
  main: string;
  fine: string;
  /** Where the fine zero is held, while it is dragged. */
  position: number | null;
  /** Whether the thimble is in the second turn past the mark; null while that was not said. */
  secondTurn: boolean | null;
  /** The reading that was chosen, where the figures can be several; empty where none was. */
  meant: string;
  /** What the figures stand for, where that was answered while they were entered. */
  fineAs: FineAs | null;
  mainAs: MainAs | null;
  /** The unit that the numerals of the main scale turned out to stand for. */
  numerals: Numerals | null;
}

type Typed = Omit<Entry, "position">;

interface State {
  seq: number;
  entry: Entry;
  answer: Answer | null;
  away: boolean;
  /** Why the server will not answer; empty while it has not said so. */
  refused: string;
  /** What `answer` is about. */
  asked: Entry | null;
  /** What was typed while the scales had not come to rest: it holds once their figures are known. */
  over: Partial<Typed>;
  /** Whether the slide was let go and comes to rest with the next answer. */
  resting: boolean;
  /** Whether a reading that is said as one is taken apart with the next answer. */
  splitting: boolean;
}

type Event =
  | { type: "typed"; entry: Partial<Typed> }
  | { type: "moved"; position: number }
  | { type: "released" }
  | { type: "split" }
  | { type: "cleared" }
  | { type: "answered"; answer: Answer; asked: Entry }
  | { type: "away" }
  | { type: "refused"; why: string };

export const EMPTY: Entry = {
  ...{ main: "", fine: "", position: null, secondTurn: null },
  ...{ meant: "", fineAs: null, mainAs: null, numerals: null },
};

const CLEARED = { entry: EMPTY, over: {}, answer: null, splitting: false };

export function isEmpty(entry: Entry): boolean {
  return entry.main.trim() === "" && entry.fine.trim() === "" && entry.position === null;
}

export function step(state: State, event: Event): State {
  switch (event.type) {
    case "typed": {
      // What was chosen was chosen for the figures that stood there.
      const entry = { meant: "", ...event.entry };
      return typedOver({
        ...state,
        seq: state.seq + 1,
        refused: "",
        splitting: false,
        entry: { ...state.entry, ...entry },
        over: { ...state.over, ...entry },
      });
    }
    case "moved":
      return {
        ...state,
        seq: state.seq + 1,
        resting: false,
        splitting: false,
        over: {},
        entry: { ...state.entry, position: event.position },
      };
    case "released":
      return rested({ ...state, resting: true });
    case "split":
      return split({ ...state, splitting: true });
    case "cleared":
      return { ...state, ...CLEARED, seq: state.seq + 1 };
    case "away":
      return { ...state, away: true };
    // The server is there, and says why it cannot answer: asking again would not help.
    case "refused":
      return { ...state, away: false, refused: event.why };
    case "answered":
      return answered(state, event.answer, event.asked);
  }
}

function answered(state: State, answer: Answer, asked: Entry): State {
  if (answer.seq < (state.answer?.seq ?? 0) || isEmpty(state.entry))
    return { ...state, away: false, refused: "" };
  const dragged = state.entry.position !== null;
  const figures = dragged
    ? {
        main: answer.main.typed ?? "",
        fine: answer.fine.typed ?? "",
        secondTurn: answer.second_turn,
        meant: answer.meant,
      }
    : {};
  const heard = { away: false, refused: "", answer, asked };
  const now = { ...state, ...heard, entry: { ...state.entry, ...figures } };
  if (!dragged || Object.keys(state.over).length === 0) return split(rested(now));
  const entry = { ...now.entry, ...state.over, position: null };
  return { ...now, seq: state.seq + 1, resting: false, over: {}, entry };
}

/** What is typed counts at once, unless the scales are moving: then the other figure is to come. */
function typedOver(state: State): State {
  return state.entry.position === null ? { ...state, over: {} } : state;
}

/** Whether a figure that still stands there has been found wrong. */
export function isFaulty({ answer, asked, entry }: State): boolean {
  if (answer === null || asked === null) return false;
  return (["main", "fine"] as const).some(
    (blank) => answer[blank].fault !== "" && asked[blank] === entry[blank],
  );
}

/** A slide that was let go lies at the nearest place the scale can show, once that is known. */
function rested(state: State): State {
  if (!state.resting || state.answer?.seq !== state.seq) return state;
  return { ...state, resting: false, entry: { ...state.entry, position: null } };
}

/** A reading that was said as one stands as mark and line, once it is known what it means. */
function split(state: State): State {
  const { answer, seq, entry } = state;
  if (!state.splitting || answer?.seq !== seq) return state;
  if (!answer.whole) return { ...state, splitting: false };
  const figures = { main: answer.main.typed ?? "", fine: answer.fine.typed ?? "" };
  const chosen = { meant: answer.meant, secondTurn: answer.second_turn };
  return { ...state, splitting: false, seq: seq + 1, entry: { ...entry, ...figures, ...chosen } };
}

export interface Desk {
  entry: Entry;
  /** The answer to what is entered now, or to what was entered a moment ago. */
  answer: Answer | null;
  /** Whether `answer` belongs to exactly what is entered. */
  settled: boolean;
  /** Whether a figure that still stands there has been found wrong. */
  faulty: boolean;
  away: boolean;
  /** Why the server will not answer; empty while it has not said so. */
  refused: string;
  type: (entry: Partial<Typed>) => void;
  move: (position: number) => void;
  release: () => void;
  /** Takes a reading that was said as one apart, into mark and line. */
  split: () => void;
  clear: () => void;
}

/** One question to the desk: what is entered, numbered. */
export type Look = Required<
  Omit<Schemas["Typed"], "instrument" | "zero" | "looks" | keyof Pairing>
>;

interface Options {
  /** What the figures stand for; null where the tool does not say. */
  fineAs: FineAs | null;
  mainAs: MainAs | null;
  /** Where the slide stands at first, in the unit of the instrument; null for nothing entered. */
  start?: number | null;
  /** Whether positions between fine lines may be estimated. */
  estimates?: boolean;
  /** Size of the setting piece as typed, "" for closed faces: makes it a look at the zero. */
  reference?: string | null;
}

/**
 * The reading desk: sends what is typed or where the slider stands, numbered, one request at a
 * time, and keeps the latest answer.
 *
 * @param question asks the server; a new one (for another zero, another description) asks again.
 */
export function useDesk(question: (look: Look) => Promise<Answer>, options: Options): Desk {
  const { fineAs, mainAs, start = null, estimates = false, reference = null } = options;
  const [state, dispatch] = useReducer(step, {
    seq: 1,
    entry: { ...EMPTY, position: start },
    answer: null,
    asked: null,
    away: false,
    refused: "",
    over: {},
    resting: true,
    splitting: false,
  });
  const queries = useQueryClient();
  const asker = useId();
  const busy = useRef(false);
  const latest = useRef(state);
  useEffect(() => {
    latest.current = state;
  });

  const ask = useCallback(async () => {
    if (busy.current) return;
    busy.current = true;
    try {
      for (;;) {
        const { seq, entry } = latest.current;
        if (isEmpty(entry)) return;
        const look: Look = {
          seq,
          main: entry.main,
          fine: entry.fine,
          fine_as: entry.fineAs ?? fineAs,
          main_as: entry.mainAs ?? mainAs,
          numerals: entry.numerals,
          meant: entry.meant,
          position: entry.position,
          second_turn: entry.secondTurn,
          estimates,
          reference,
        };
        const answer = await queries.query({
          queryKey: ["look", asker, look],
          queryFn: () => question(look),
          retry: false,
          gcTime: 0,
        });
        dispatch({ type: "answered", answer, asked: entry });
        if (latest.current.seq === seq) return;
      }
    } catch (problem) {
      dispatch(unheard(problem));
    } finally {
      busy.current = false;
    }
  }, [queries, asker, question, fineAs, mainAs, estimates, reference]);

  useEffect(() => {
    void ask();
  }, [state.seq, ask]);

  const { away } = state;
  useEffect(() => {
    if (!away) return undefined;
    const again = setInterval(() => void ask(), 2000);
    return () => {
      clearInterval(again);
    };
  }, [away, ask]);

  return {
    entry: state.entry,
    answer: isEmpty(state.entry) ? null : state.answer,
    settled: state.answer?.seq === state.seq && !isEmpty(state.entry),
    faulty: isFaulty(state),
    away,
    refused: state.refused,
    type: useCallback((entry) => dispatch({ type: "typed", entry }), []),
    move: useCallback((position) => dispatch({ type: "moved", position }), []),
    release: useCallback(() => dispatch({ type: "released" }), []),
    split: useCallback(() => dispatch({ type: "split" }), []),
    clear: useCallback(() => dispatch({ type: "cleared" }), []),
  };
}

/** What it means that no answer came. */
export function unheard(problem: unknown): Event {
  const refused = problem instanceof ApiError && !problem.away && problem.status < 500;
  return refused ? { type: "refused", why: problem.message } : { type: "away" };
}

/** How many looks make the reading, which way round they are taken, and those entered before. */
export type Pairing = Pick<Schemas["Typed"], "sort" | "arc" | "halved" | "earlier">;

interface SheetOptions extends Options {
  pairing?: Pairing;
  /** Earlier looks at the zero that this one should agree with. */
  looks?: string[];
}

const ALONE: Pairing = { sort: "single", arc: "shorter", halved: false, earlier: [] };

const NONE: string[] = [];

/** The desk of a sheet: its instrument, corrected by these zero checks. */
export function useSheetDesk(
  sheet: string,
  instrument: string,
  zero: string[],
  { pairing = ALONE, looks = NONE, ...options }: SheetOptions,
) {
  const checks = JSON.stringify(zero);
  const others = JSON.stringify({ ...pairing, looks });
  const question = useCallback(
    (look: Look) =>
      body(
        client.POST("/api/sheets/{sheet}/look", {
          params: { path: { sheet } },
          body: {
            ...look,
            instrument,
            zero: JSON.parse(checks) as string[],
            ...(JSON.parse(others) as Pairing & { looks: string[] }),
          },
        }),
      ),
    [sheet, instrument, checks, others],
  );
  return useDesk(question, options);
}

/** The desk of an instrument that is only being described. */
export function useDraftDesk(record: Schemas["InstrumentFields"], options: Options) {
  const described = JSON.stringify(record);
  const question = useCallback(
    (look: Look) =>
      body(
        client.POST("/api/instruments/look", {
          body: { ...look, record: JSON.parse(described) as Schemas["InstrumentFields"] },
        }),
      ),
    [described],
  );
  return useDesk(question, options);
}

/** One look as a logbook holds it. */
export interface Figures {
  main: string;
  fine: number | string;
  second_turn: boolean | null;
}

/** The fields of a look as a logbook holds them, once the answer has both figures. */
export function figuresOf(answer: Answer): Figures | null {
  const { main, fine, second_turn: turn } = answer;
  if (answer.read === null || main.value === null || fine.value === null) return null;
  const line = /^\d+$/.test(fine.value) ? Number(fine.value) : fine.value;
  return { main: main.value, fine: line, second_turn: turn || null };
}

/** What was answered of the tool's figures while they were entered. */
export const answeredOf = ({ fineAs, mainAs, numerals }: Entry): Schemas["AnsweredFigures"] => ({
  fine_as: fineAs,
  main_as: mainAs,
  numerals,
});

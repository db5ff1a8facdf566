import {
  useId,
  useImperativeHandle,
  useLayoutEffect,
  useRef,
  type ChangeEvent,
  type ChangeEventHandler,
  type CSSProperties,
  type FocusEvent,
  type FocusEventHandler,
  type KeyboardEventHandler,
  type ReactNode,
  type Ref,
  type RefObject,
} from "react";

import type { FineAs, Instrument } from "../api";
import type { Desk } from "../entry/useDesk";
import "./equation.css";
import { Asked } from "./Asked";
import { Sentence } from "./Sentence";
import { FineFactor, SecondTurn, Sign, StandsFor, Term } from "./terms";
import { useHandPlace } from "../common/hand";
import { useBlankKeys } from "./useBlankKeys";
import { useNarrow } from "./useNarrow";
import { say, typed } from "../voice";

export interface EquationHandle {
  /** Put the cursor into the main blank; with a text, as if it had been typed there. */
  begin: (text?: string) => void;
  /** Put the cursor into the fine blank; what stands there, or comes there, is typed over. */
  beginFine: () => void;
  /** Put the cursor on the first of the readings that the figures can be. */
  choose: () => void;
  /** Do what a key of the key pad says to the blank that has the cursor. */
  press: (key: Key) => void;
}

/** A key of the key pad: a character, or what it does. */
export type Key =
  "0" | "1" | "2" | "3" | "4" | "5" | "6" | "7" | "8" | "9" | "." | ":" | "-" | "back" | "next";

export interface EquationProps {
  desk: Desk;
  instrument: Instrument;
  /** What the fine blank stands for; null where the tool does not say. */
  fineAs: FineAs | null;
  /** Keeps what the fine blank is to stand for with the tool, where that can be kept. */
  onFineAs?: ((fineAs: FineAs) => void) | undefined;
  /** How the equation goes on once main and fine reading make a figure. */
  ending: Ending;
  onEnter: () => void;
  /** Which of several looks is entered now; empty where there is but one. */
  of?: string;
  /** What a reading was taken up again for; empty for a new one. */
  task?: string;
  /** What is asked in the place of the words, while nothing is entered. */
  question?: ReactNode;
  /** What stands at the end of the words. */
  beside?: ReactNode;
  /** Leaves a reading that was taken up, as it is. */
  onLeave?: (() => void) | undefined;
  /** Whether the cursor waits in the main blank from the first. */
  autoFocus?: boolean;
  /** Whether what a whole entry comes to is said elsewhere: here only what it lacks. */
  brief?: boolean;
  /** Whether a key pad of the page goes with it on a phone. */
  padded?: boolean;
  children?: ReactNode;
  ref?: Ref<EquationHandle>;
}

/** What is read, what is taken from it, and what that comes to. */
export interface Ending {
  readAs: string;
  less?: {
    label: string;
    part: "zero" | "read";
    node: ReactNode;
    /** Taken away; the place from which something is swept or lies; or beside for the eye only. */
    as: "minus" | "from" | "beside";
  };
  outcome?: { label: string; text: string | null | undefined } | undefined;
}

const FINE_WAYS = ["line", "numeral", "worth"] as const;
const FINE_LABEL = () => ({
  line: say("equation-line-that-meets"),
  numeral: say("equation-numeral"),
  worth: say("equation-fine-part"),
});

/** The working line: its blanks are the input, the rest is worked out as they fill. */
export function Equation({ ref, ending, children, ...props }: EquationProps) {
  const { desk, instrument, onEnter, onLeave } = props;
  const { entry, answer, settled } = desk;
  const fineAs = entry.fineAs ?? props.fineAs ?? "line";
  const main = useRef<HTMLInputElement>(null);
  const fine = useRef<HTMLInputElement>(null);
  const over = useRef(false);
  const asked = useRef<HTMLDivElement>(null);
  const last = !instrument.traits.fine_scale ? main : fine;
  useLayoutEffect(() => {
    // What was put there for the student is typed over until they type: selected before the
    // next key can come.
    if (over.current && last.current === document.activeElement) last.current?.select();
  }, [entry.fine, entry.main, last]);
  // The cursor may come back to it only after a dialog has opened.
  const onFocus = ({ target }: FocusEvent<HTMLInputElement>) => {
    if (over.current && target === last.current) target.select();
  };
  const typeInto = (blank: "main" | "fine") => (event: ChangeEvent<HTMLInputElement>) => {
    over.current = false;
    desk.type({ [blank]: event.target.value });
  };
  const resume = (typedOver: boolean) => {
    const next = entry.main.trim() === "" && entry.position === null ? main : last;
    if (typedOver) over.current = true;
    next.current?.focus();
    if (typedOver) next.current?.select();
  };
  const filled = entry.main.trim() !== "" && (last === main || entry.fine.trim() !== "");
  useHandPlace({ isFilled: () => filled || entry.position !== null, resume });
  useImperativeHandle(ref, () => ({
    beginFine() {
      over.current = true;
      last.current?.focus();
      last.current?.select();
    },
    begin(text) {
      if (text !== undefined) desk.type({ main: text });
      main.current?.focus();
    },
    choose() {
      asked.current?.querySelector("button")?.focus();
    },
    press(key) {
      const blank = document.activeElement === fine.current ? "fine" : "main";
      const text = entry[blank];
      if (key === "next") (blank === "main" ? fine : main).current?.focus();
      else desk.type({ [blank]: key === "back" ? text.slice(0, -1) : text + key });
    },
  }));
  const narrow = useNarrow();
  // On a phone the key pad of the page takes the place of the system's.
  const docked = props.padded === true && narrow;
  const keyboard = docked ? "none" : "decimal";
  const { unit_text: unit } = instrument;
  const screw = instrument.traits.turns;
  const keys = useBlankKeys({ desk, instrument, onEnter, onLeave, main, fine });
  const waiting = desk.away && !settled;
  const said = useId();
  const isFaulty = (blank: "main" | "fine") => Boolean(answer?.[blank].fault);
  return (
    <div className="equation" data-settled={settled} data-long={isLong(desk, ending)}>
      <div className="equation-line">
        <Term
          label={props.of || say(screw ? "equation-sleeve" : "equation-main-reading")}
          part="main"
          faulty={isFaulty("main")}
        >
          <input
            ref={main}
            autoFocus={props.autoFocus}
            className="blank"
            aria-label={say("equation-main-reading")}
            aria-invalid={isFaulty("main")}
            aria-describedby={props.question ? undefined : said}
            inputMode={keyboard}
            autoComplete="off"
            value={typed(entry.main)}
            style={widthOf(entry.main)}
            onFocus={onFocus}
            onChange={typeInto("main")}
            onKeyDown={keys("main")}
          />
          <span>{unit}</span>
        </Term>
        {instrument.lines.two_turns && (
          <SecondTurn desk={desk} pitch={`${instrument.pitch ?? ""} ${instrument.unit}`} />
        )}
        {instrument.traits.fine_scale && (
          <>
            <Sign>+</Sign>
            <FineBlank
              {...{ desk, instrument, fineAs, keyboard, fine }}
              onFineAs={props.onFineAs}
              said={props.question ? undefined : said}
              faulty={isFaulty("fine")}
              onFocus={onFocus}
              onChange={typeInto("fine")}
              onKeyDown={keys("fine")}
            />
          </>
        )}
        <Sign>=</Sign>
        <Term label={ending.readAs} part="read">
          <output aria-live="polite">
            {waiting ? say("equation-waiting") : (answer?.read ?? "…")}
          </output>
          {!ending.less && <span>{unit}</span>}
        </Term>
        <EndingTerms {...{ ending, unit }} waiting={waiting} />
        <div className="equation-act">{children}</div>
      </div>
      <div className="equation-words">
        {props.question ||
          (!docked && isAsked(desk) ? (
            <Asked ref={asked} {...{ desk, instrument }} />
          ) : (
            <Sentence {...props} {...{ said, docked }} />
          ))}
        {props.beside}
      </div>
    </div>
  );
}

/** Whether the figures can be several readings. */
const isAsked = ({ answer, settled }: Desk) => settled && (answer?.asked.length ?? 0) > 0;

interface FineProps {
  desk: Desk;
  instrument: Instrument;
  fineAs: FineAs;
  keyboard: "none" | "decimal";
  faulty: boolean;
  onFineAs: EquationProps["onFineAs"];
  /** Where what is wrong with it is said. */
  said: string | undefined;
  fine: RefObject<HTMLInputElement | null>;
  onFocus: FocusEventHandler<HTMLInputElement>;
  onChange: ChangeEventHandler<HTMLInputElement>;
  onKeyDown: KeyboardEventHandler<HTMLInputElement>;
}

/** The blank for the fine line, and what it is worth. */
function FineBlank({ desk, instrument, fineAs, keyboard, fine, ...props }: FineProps) {
  const { faulty, said, onFocus, onChange, onKeyDown } = props;
  const { entry, answer } = desk;
  const screw = instrument.traits.turns;
  const label = screw && fineAs === "line" ? say("equation-thimble-line") : FINE_LABEL()[fineAs];
  const worth = answer?.fine.worth;
  const { onFineAs } = props;
  const told = onFineAs && instrument.lines.numerals_differ && (entry.fineAs ?? instrument.fine_as);
  const shown = told ? (
    <StandsFor
      now={told}
      choices={FINE_WAYS}
      onChoose={(one) => {
        desk.type({ fineAs: null });
        onFineAs(one);
      }}
    >
      {label}
    </StandsFor>
  ) : (
    label
  );
  return (
    <Term label={shown} part="fine" faulty={faulty}>
      <input
        ref={fine}
        className="blank"
        aria-label={label}
        aria-invalid={faulty}
        aria-describedby={said}
        inputMode={keyboard}
        autoComplete="off"
        value={typed(entry.fine)}
        style={widthOf(entry.fine)}
        onFocus={onFocus}
        onChange={onChange}
        onKeyDown={onKeyDown}
      />
      <FineFactor
        fineAs={fineAs}
        instrument={instrument}
        worth={worth ?? ""}
        asTyped={answer?.fine.value == null || answer.fine.value === entry.fine.trim()}
      />
    </Term>
  );
}

interface EndingProps {
  ending: Ending;
  unit: string;
  /** Whether the answer is still to come. */
  waiting: boolean;
}

/** What is taken away, and what comes of it. */
function EndingTerms({ ending, unit, waiting }: EndingProps) {
  return (
    <>
      {ending.less && (
        <>
          {ending.less.as === "minus" && <Sign>−</Sign>}
          {ending.less.as === "from" && <span className="sign-word">{say("equation-from")}</span>}
          <Term
            label={ending.less.label}
            part={ending.less.part}
            aside={ending.less.as === "beside"}
          >
            {ending.less.node}
          </Term>
        </>
      )}
      {ending.outcome && (
        <>
          <Sign>=</Sign>
          <Term label={ending.outcome.label} part="result">
            <output aria-live="polite">
              {waiting ? say("equation-waiting") : (ending.outcome.text ?? "…")}
            </output>
            <span>{unit}</span>
          </Term>
        </>
      )}
    </>
  );
}

const LONG = 15;
/** Figures of so many characters leave no room beside them unless they are set smaller. */
function isLong({ entry, answer }: Desk, { outcome }: Ending) {
  const figures = [entry.main, entry.fine, answer?.read, outcome?.text];
  return figures.join("").length > LONG;
}

const CHARACTERS = 3;
/** A blank grows with what is typed. */
const widthOf = (text: string) =>
  ({ "--chars": Math.max(CHARACTERS, text.length) }) as CSSProperties;

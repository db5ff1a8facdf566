import { useCallback, useEffect, useRef, useState } from "react";

import {
  newId,
  useAmendReading,
  type Answer,
  type Instrument,
  type Quantity,
  type Reading,
} from "../api";
import type { Entered } from "../api";
import { post, useWaiting } from "../outbox/useOutbox";
import { nextPlanned, placeOf } from "../tally";
import { useAtBench, type AtBench } from "../bench/AtBench";
import { asFields, circumstancesOf, kept, NONE, type Circumstances } from "./circumstances";
import { openLooks } from "../tally/reopened";
import { answeredOf, figuresOf, useSheetDesk, type Desk, type Entry } from "../entry/useDesk";
import { say } from "../voice";
import { asLooks, usePositions, type Position } from "../entry/usePositions";

interface Recorded {
  sheet: { id: string };
  quantity: Quantity;
  instrument: Instrument;
  /** A reading whose figures are being changed. */
  changing: Reading | null;
  /** Whether they are read afresh, as if they had not been read before. */
  afresh: boolean;
  onMade: (id: string) => void;
  /** The entry was recorded, or left. */
  onDone: () => void;
  /** Puts the cursor where the next figure goes. */
  begin: () => void;
  /** Puts it on the first of the readings that the figures can be. */
  choose: () => void;
  fail: (problem: unknown) => void;
}

/** A reading from its first figure until it is on its way: looks, circumstances, and the record. */
export function useRecording(props: Recorded) {
  const { sheet, quantity, instrument, changing, afresh, onDone, begin, choose, fail } = props;
  const paired = quantity.sort !== "single";
  const positions = usePositions(quantity.sort);
  const { more: others } = positions;
  const desk = useSheetDesk(sheet.id, instrument.id, quantity.zero, {
    fineAs: instrument.fine_as,
    mainAs: instrument.main_as,
    start: paired || afresh ? null : (changing?.position ?? null),
    estimates: quantity.estimates,
    pairing: {
      sort: quantity.sort,
      arc: quantity.arc,
      halved: quantity.divide_by === 2,
      earlier: positions.kept.map(({ entered }) => entered),
    },
  });
  const [said, setSaid] = useState(changing ? circumstancesOf(changing) : NONE);
  const [elsewhere, setElsewhere] = useState(false);
  const waiting = useWaiting(sheet.id, quantity.id);
  const planned = changing ? null : nextPlanned(quantity.plan, waiting.map(placeOf));
  // Where the plan names a place it is taken there, unless another one is said.
  const place = elsewhere ? said.place : (planned?.place ?? said.place);
  const given = { ...said, place };
  const give = useCallback((some: Partial<Circumstances>) => {
    setSaid((before) => ({ ...before, ...some }));
    if (some.place !== undefined) setElsewhere(true);
  }, []);
  const [confirmed, setConfirmed] = useState("");
  const bench = useAtBench();
  /** The figures that Enter was pressed for before it was known what they mean. */
  const eager = useRef("");
  const amend = useAmendReading(sheet.id);
  const { answer, entry } = desk;

  const asked = desk.settled && (answer?.asked.length ?? 0) > 0;
  const figures = `${entry.main} ${entry.fine}`;
  const outcome = comesTo(answer, others, instrument);

  function done() {
    setConfirmed(desk.settled ? outcome : `${entry.main} + ${entry.fine}`);
    desk.clear();
    positions.clear();
    setSaid(kept(given, quantity.readings));
    setElsewhere(false);
    begin();
    onDone();
  }
  /** Keeps the position that has been entered and makes room for the next. */
  function keepPosition() {
    if (desk.settled && answer?.read == null) return;
    bench?.written("read");
    positions.keep(entered(), desk.settled ? answer : null);
    desk.clear();
    begin();
  }
  function takeBack({ entered: { main, fine, second_turn: secondTurn, meant } }: Position) {
    desk.type({ main, fine, secondTurn, meant });
    positions.takeBack();
    begin();
  }
  function entered(): Entered {
    const { main, fine, secondTurn, meant } = entry;
    return {
      ...{ main, fine, second_turn: secondTurn, meant },
      fine_as: entry.fineAs ?? instrument.fine_as,
      main_as: entry.mainAs ?? instrument.main_as,
      numerals: entry.numerals,
    };
  }
  /** Records, or goes on to the next look; the id of a reading that is on its way. */
  function record(): string | null {
    // Figures that have not been answered yet (a quick hand, a server away) are kept as they were
    // typed; the server tells what they mean when they reach it.
    const typed = isTyped(desk, instrument) && !desk.faulty;
    if (desk.settled && answer?.whole) return split();
    if (others && desk.away && typed) {
      keepPosition();
      return null;
    }
    if (others || changing || asked || (!desk.away && mayAsk(instrument, entry))) {
      // Enter came before the last figure had been answered: it is done with that answer.
      eager.current = figures;
      return desk.settled ? withAnswer() : null;
    }
    if (desk.settled ? answer?.read == null : !typed) return null;
    return send();
  }
  function send(): string {
    const id = newId();
    post({
      id,
      sheet: sheet.id,
      quantity: quantity.id,
      entered: [...positions.kept.map((one) => one.entered), entered()],
      fields: { ...asFields(given), ...seenAt(bench, given.place) },
      refused: "",
    });
    props.onMade(id);
    done();
    return id;
  }
  function withAnswer(): string | null {
    if (asked) {
      choose();
      return null;
    }
    eager.current = "";
    if (others) keepPosition();
    else if (changing) change(changing);
    else if (answer?.whole) return split();
    else if (answer?.read != null) return send();
    return null;
  }
  /** What was said as one is seen as mark and line before it is recorded. */
  function split(): null {
    desk.split();
    return null;
  }
  function change(reading: Reading) {
    // Who looks afresh and sees the same has looked again: the reading stands.
    const same = paired ? answer?.between === reading.corrected : answer?.read === reading.read;
    if (afresh && same) {
      const looks = openLooks(quantity).filter((look) => look.reading.id === reading.id);
      if (looks.length === 0) done();
      else
        amend.mutate(
          { seen: reading, looked_again: looks.map(({ flag }) => flag.code) },
          { onSuccess: done, onError: fail },
        );
      return;
    }
    const figures = [...positions.kept.map((one) => one.figures), answer && figuresOf(answer)];
    const known = figures.filter((one) => one !== null);
    if (known.length < figures.length) return;
    const fields = { ...asLooks(known), ...asFields(given), answered: answeredOf(entry) };
    amend.mutate(
      { seen: reading, ...fields, why: say(afresh ? "desk-looked-again" : "desk-changed") },
      { onSuccess: done, onError: fail },
    );
  }
  useEffect(() => {
    if (eager.current && eager.current !== figures) eager.current = "";
    if (eager.current && desk.settled) withAnswer();
  });
  /** What was kept last was changed since. */
  const unconfirm = () => setConfirmed("");
  return { desk, positions, given, give, planned, outcome, confirmed, unconfirm, takeBack, record };
}

/** What was done at a simulated bench, and where the part was held if nothing else was said. */
function seenAt(bench: AtBench | null, said: string) {
  if (!bench) return {};
  const { simulated, place } = bench.written("read");
  return said.trim() || !place ? { simulated } : { simulated, place };
}

/** What an entry comes to, with its unit; of a look that others follow, what it reads. */
function comesTo(answer: Answer | null, more: boolean, { unit_text: unit }: Instrument): string {
  const read = more ? answer?.read : (answer?.between ?? answer?.corrected);
  return read == null ? "" : `${read} ${unit}`.trim();
}

/** Whether every blank is filled; a plain scale has no fine one. */
const isTyped = ({ entry }: Desk, { traits }: Instrument) =>
  entry.main.trim() !== "" && (!traits.fine_scale || entry.fine.trim() !== "");

/**
 * Whether figures typed for a tool may have to be asked about, or be a whole reading: then its
 * answer is waited for.
 */
const mayAsk = (
  { fine_as: fineAs, main_as: mainAs, lines, ...tool }: Instrument,
  { main, fine }: Entry,
) =>
  (fineAs === null && lines.numerals_differ) ||
  (mainAs === null && tool.engraved_unit !== tool.kept_unit) ||
  (tool.traits.fine_scale && (fine.trim() === "" || /[\s+]/.test(fine.trim()))) ||
  (tool.traits.slides && /[.,]/.test(main)) ||
  lines.two_turns;

/** Whether there is something to record: a reading, or figures that the server will make one. */
export function recordable(desk: Desk, instrument: Instrument): boolean {
  return desk.away ? isTyped(desk, instrument) : desk.answer?.read != null;
}

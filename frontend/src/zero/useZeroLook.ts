import { useEffect, useRef, useState } from "react";

import {
  newId,
  useAddZeroCheck,
  type Answer,
  type Instrument,
  type Quantity,
  type Sheet,
  type ZeroOff,
  type ZeroStands,
} from "../api";
import { answeredOf, figuresOf, useSheetDesk } from "../entry/useDesk";
import type { EquationHandle } from "../equation/Equation";
import { useAtBench } from "../bench/AtBench";

import { useShowError } from "../common/useShowError";

interface Looked {
  sheet: Sheet;
  instrument: Instrument;
  quantity: Quantity | null;
  off?: ZeroOff | null;
  onClose: () => void;
}

type Phase = Sheet["zero_checks"][number]["phase"];

/** What becomes of earlier looks that a new one does not agree with. */
export type Kept = "replaces" | "both" | "moved";

/** What has to be asked before a look is kept, one after the other. */
function questionOf(
  finding: Answer["finding"],
  meant: string,
  tapped: ZeroStands | null,
): "wrapped" | "opposite" | "unlike" | null {
  if (!finding) return null;
  if (finding.wrapped && meant !== finding.wrapped.kept) return "wrapped";
  const side = sideOf(finding.error);
  if (tapped && tapped !== "on" && side !== "on" && side !== tapped) return "opposite";
  return finding.unlike.length > 0 ? "unlike" : null;
}

export function sideOf(error: number): ZeroStands {
  return error === 0 ? "on" : error < 0 ? "past" : "short";
}

/** Whether there are readings: of the quantity, or else of any that the tool was used for. */
function isRead({ quantities }: Sheet, { id }: Instrument, quantity: Quantity | null): boolean {
  const concerned = quantity ? [quantity] : quantities.filter((one) => one.instrument === id);
  return concerned.some((one) => one.reading_count > 0);
}

/** Fine lines that a zero is off at first, before they are counted. */
const LINES: Record<ZeroOff, number> = { short: 1, past: -1 };

/** A look at the zero from the first glance until it is kept. */
export function useZeroLook({ sheet, instrument, quantity, off = null, onClose }: Looked) {
  const showError = useShowError();
  // A look that is made when there are readings is one after them, unless it is said otherwise.
  const [phase, setPhase] = useState<Phase>(() =>
    isRead(sheet, instrument, quantity) ? "after" : "before",
  );
  const [face, setFace] = useState(quantity?.face || "outside");
  const [reference, setReference] = useState("");
  const [meant, setMeant] = useState("");
  const { least_count: line } = instrument.lines;
  const desk = useSheetDesk(sheet.id, instrument.id, [], {
    fineAs: instrument.fine_as,
    mainAs: instrument.main_as,
    start: off && LINES[off] * line,
    estimates: true,
    reference,
    looks: sheet.zero_checks
      .filter(
        (check) =>
          check.instrument === instrument.id &&
          (check.face || "outside") === face &&
          check.phase === phase &&
          (!quantity || quantity.zero.includes(check.id)),
      )
      .map(({ id }) => id),
  });
  /** Which way it was said to be off, by a tap. */
  const [tapped, setTapped] = useState<ZeroStands | null>(off);
  const equation = useRef<EquationHandle>(null);
  const eager = useRef(false);
  const add = useAddZeroCheck(sheet.id);
  const bench = useAtBench();
  const { answer, entry } = desk;
  const position = entry.position ?? answer?.position ?? 0;
  const question = useRef<HTMLDivElement>(null);
  const asks = desk.settled ? questionOf(answer?.finding ?? null, meant, tapped) : null;
  useEffect(() => {
    if (off) equation.current?.beginFine();
  }, [off]);

  function choose(side: ZeroStands) {
    setTapped(side);
    if (side === "on") {
      move(0, 0);
      eager.current = true;
    } else {
      move(LINES[side], 0);
      equation.current?.beginFine();
    }
  }
  function move(lines: number, from = position) {
    desk.move(from + lines * line);
    desk.release();
  }
  /** Keeps it, in the way that was chosen where it does not agree with an earlier look. */
  async function keep(chosen?: Kept) {
    const figures = answer && desk.settled ? figuresOf(answer) : null;
    const finding = answer?.finding;
    if (!figures || answer?.reference_fault) return;
    if (answer?.whole) {
      desk.split();
      return;
    }
    if (asks && !chosen) {
      question.current?.querySelector("button")?.focus();
      return;
    }
    const id = newId();
    try {
      await add.mutateAsync({
        id,
        instrument: instrument.id,
        face,
        ...figures,
        reference: reference.trim() === "" ? null : reference.trim().replace(",", "."),
        phase: chosen === "moved" ? "after" : phase,
        ...(chosen === "replaces" &&
          finding && { replaces: finding.unlike.map(({ id: of }) => of) }),
        answered: answeredOf(entry),
        ...(quantity && { quantity: quantity.id }),
        ...(bench && { simulated: bench.written("zero").simulated }),
      });
      onClose();
    } catch (problem) {
      showError(problem);
    }
  }
  /** Keeps it, with the answer to the last figure where that is still to come. */
  function enter() {
    eager.current = !desk.settled;
    if (desk.settled) void keep();
  }
  useEffect(() => {
    if (!eager.current || !desk.settled) return;
    eager.current = false;
    void keep();
  });
  return {
    ...{ desk, equation, position, choose, move, keep, enter, keeping: add.isPending },
    ...{ phase, setPhase, face, setFace, reference, setReference, meant, setMeant },
    ...{ asks, question, tapped, setTapped },
  };
}

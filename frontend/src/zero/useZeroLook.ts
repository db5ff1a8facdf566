import { App } from "antd";
import { useEffect, useRef, useState } from "react";

import {
  newId,
  STANDS_ON_ZERO,
  useAddZeroCheck,
  type Instrument,
  type Quantity,
  type Sheet,
  type ZeroOff,
  type ZeroStands,
} from "../api";
import { answeredOf, figuresOf, useSheetDesk } from "../desk/useDesk";
import type { EquationHandle } from "../equation/Equation";
import { useAtBench } from "../bench/AtBench";
import { say } from "../voice";

interface Looked {
  sheet: Sheet;
  instrument: Instrument;
  quantity: Quantity | null;
  off?: ZeroOff | null;
  onClose: () => void;
}

/** Fine lines that a zero is off at first, before they are counted. */
const LINES: Record<ZeroOff, number> = { short: 1, past: -1 };

/** A look at the zero from the first glance until it is kept. */
export function useZeroLook({ sheet, instrument, quantity, off = null, onClose }: Looked) {
  const { message } = App.useApp();
  const [phase, setPhase] = useState<"before" | "after">("before");
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
  });
  const equation = useRef<EquationHandle>(null);
  const add = useAddZeroCheck(sheet.id);
  const bench = useAtBench();
  const { answer, entry } = desk;
  const position = entry.position ?? answer?.position ?? 0;
  useEffect(() => {
    if (off) equation.current?.beginFine();
  }, [off]);

  function choose(side: ZeroStands) {
    if (side === "on") void keep(STANDS_ON_ZERO);
    else {
      move(LINES[side], 0);
      equation.current?.beginFine();
    }
  }
  function move(lines: number, from = position) {
    desk.move(from + lines * line);
    desk.release();
  }
  async function keep(figures = answer && desk.settled ? figuresOf(answer) : null) {
    if (!figures || answer?.reference_fault) return;
    if (desk.settled && answer?.whole) {
      desk.split();
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
        phase,
        answered: answeredOf(entry),
        ...(quantity && { quantity: quantity.id }),
        ...(bench && { simulated: bench.written("zero").simulated }),
      });
      onClose();
    } catch (problem) {
      void message.error(
        problem instanceof Error ? problem.message : say("zero-this-could-not-be-saved"),
      );
    }
  }
  /** Keeps it, with the answer to the last figure where that is still to come. */
  const eager = useRef(false);
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
  };
}

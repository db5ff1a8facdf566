import { Button, Select } from "antd";
import { createContext, useContext, useState } from "react";

import { useInUnit, type Schemas } from "../api";
import { asked, type Draft } from "./draft";
import { say } from "../voice";
import { useShowError } from "../common/useShowError";

type Unit = "mm" | "cm" | "in";
type Stays = NonNullable<Schemas["InstrumentPatch"]["what_was_read"]>;

/** What becomes of what was read with a tool that gets another unit; null while that is not said. */
export interface WhatWasRead {
  stays: Stays | null;
  onStays: (stays: Stays) => void;
}

/** There for a tool with which something was read. */
export const ReadBefore = createContext<WhatWasRead | null>(null);

const UNITS = (["mm", "cm", "in"] as const).map((value) => ({ value, label: value }));
const ANSWERS = ["same-lengths", "same-figures"] as const;

interface Props {
  draft: Draft;
  set: (some: Draft) => void;
}

/**
 * In another unit the same lengths have other figures: a beam of 150 mm does not become 150 in.
 * Where something was read, that could also be what the description had wrong: it is asked.
 */
export function UnitChoice({ draft, set }: Props) {
  const showError = useShowError();
  const inUnit = useInUnit();
  const read = useContext(ReadBefore);
  const [wanted, setWanted] = useState<Unit | null>(null);
  const was = (draft.unit ?? "mm") as Unit;
  const convert = (unit: Unit) =>
    inUnit.mutate({ record: asked(draft), unit }, { onSuccess: set, onError: showError });
  function answer(unit: Unit, stays: Stays) {
    read?.onStays(stays);
    setWanted(null);
    if (stays === "same-lengths") convert(unit);
    else set({ unit });
  }
  return (
    <>
      <Select
        aria-label={say("planner-unit")}
        value={was}
        disabled={Boolean(read?.stays)}
        options={UNITS}
        onChange={(unit: Unit) => (read ? setWanted(unit === was ? null : unit) : convert(unit))}
      />
      {read && wanted && (
        <span className="look unit-asked" role="group" aria-label={say("planner-unit")}>
          {say("instruments-unit-which", { was, unit: wanted })}
          {ANSWERS.map((stays) => (
            <Button
              key={stays}
              autoFocus={stays === ANSWERS[0]}
              onClick={() => answer(wanted, stays)}
            >
              {say(`instruments-unit-${stays}`)}
            </Button>
          ))}
        </span>
      )}
      {read?.stays && (
        <span className="quiet">
          {" "}
          {say(
            read.stays === "same-lengths"
              ? "instruments-unit-converted"
              : "instruments-unit-stands",
          )}
        </span>
      )}
    </>
  );
}

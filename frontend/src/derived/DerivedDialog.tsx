import { Alert, Button, Input as Field } from "antd";
import { useState } from "react";

import {
  ApiError,
  newId,
  useBoard,
  useKeepDerived,
  type Derived,
  type Recipe,
  type Sheet,
} from "../api";
import { InputBlank } from "./InputBlank";
import {
  asRecord,
  begun,
  draftOf,
  fitting,
  inputsFor,
  sourcesOf,
  type Draft,
  type Input,
} from "./recipe";
import { Shape } from "./Shape";
import { Dialog } from "../common/overlays";
import { useFaultFocus } from "../common/useFaultFocus";
import { say } from "../voice";

interface Props {
  sheet: Sheet;
  /** The one to be changed; null for a new one. */
  derived: Derived | null;
  onClose: () => void;
}

/** Puts a derived quantity together from a usual recipe or a formula of one's own. */
export function DerivedDialog(props: Props) {
  const title = props.derived ? say("derived-dialog-change") : say("derived-dialog-new");
  return (
    <Dialog title={title} width={720} onCancel={props.onClose}>
      <DerivedForm {...props} />
    </Dialog>
  );
}

const OWN = "own";
const OWN_DRAFT: Draft = { name: "", formula: "", unit: "mm", inputs: {} };

function DerivedForm({ sheet, derived, onClose }: Props) {
  const { data: board = [] } = useBoard(sheet.id, sheet.version);
  const keep = useKeepDerived(sheet.id);
  const form = useFaultFocus(keep.error);
  const [picked, setPicked] = useState<string | null>(derived ? OWN : null);
  const [draft, setDraft] = useState<Draft>(derived ? draftOf(derived) : OWN_DRAFT);
  const set = (some: Partial<Draft>) => setDraft({ ...draft, ...some });
  const recipe = board.find(({ id }) => id === picked);
  const blank = (symbol: string) => recipe?.blanks.find((one) => one.symbol === symbol);

  const sources = sourcesOf(sheet, derived?.id);
  const fittingIn = (symbol: string) => {
    const wanted = blank(symbol)?.dimension;
    return wanted === undefined ? sources : fitting(sources, wanted);
  };

  function pick(id: string) {
    const found = board.find((one) => one.id === id);
    setPicked(id);
    setDraft(found ? begun(found) : OWN_DRAFT);
  }
  function save() {
    keep.mutate(
      { seen: derived, ...(derived ? {} : { id: newId() }), ...asRecord(draft) },
      { onSuccess: onClose },
    );
  }
  if (picked === null) return <Board recipes={board} onPick={pick} />;
  const inputs = inputsFor(draft);
  return (
    <form
      ref={form}
      className="derived-form"
      onSubmit={(event) => {
        event.preventDefault();
        save();
      }}
    >
      <label>
        {say("derived-name")}
        <Field
          name="name"
          value={draft.name}
          maxLength={200}
          onChange={(event) => set({ name: event.target.value })}
        />
      </label>
      <label>
        {say("derived-formula")}
        <Field
          name="formula"
          className="derived-formula"
          value={draft.formula}
          placeholder={say("app-for-example", { what: "πD²h/4" })}
          spellCheck={false}
          onChange={(event) => set({ formula: event.target.value })}
        />
      </label>
      {inputs.map(([symbol, given]) => (
        <InputBlank
          key={symbol}
          symbol={symbol}
          label={blank(symbol)?.label ?? ""}
          given={given}
          sources={fittingIn(symbol)}
          onGiven={(one: Input) => set({ inputs: { ...draft.inputs, [symbol]: one } })}
        />
      ))}
      <label>
        {say("derived-given-in")}
        <Field
          name="unit"
          className="derived-unit"
          value={draft.unit}
          spellCheck={false}
          onChange={(event) => set({ unit: event.target.value })}
        />
      </label>
      {keep.error && <Alert type="error" showIcon title={<Faults problem={keep.error} />} />}
      <div className="page-acts">
        {!derived && <Button onClick={() => setPicked(null)}>{say("derived-another-one")}</Button>}
        <Button
          type="primary"
          htmlType="submit"
          loading={keep.isPending}
          disabled={draft.name.trim() === "" || draft.formula.trim() === ""}
        >
          {derived ? say("derived-change-it") : say("derived-submit")}
        </Button>
      </div>
    </form>
  );
}

/** The usual ones, each with its formula. */
function Board({ recipes, onPick }: { recipes: Recipe[]; onPick: (id: string) => void }) {
  return (
    <div className="board" role="group" aria-label={say("derived-formula-choose")}>
      {recipes.map(({ id, title, formula }) => (
        <button key={id} type="button" onClick={() => onPick(id)}>
          <Shape of={id} />
          {title}
          <code>{formula}</code>
        </button>
      ))}
      <button type="button" onClick={() => onPick(OWN)}>
        {say("derived-formula-own")}
        <code>{say("derived-sqrt-sin")}</code>
      </button>
    </div>
  );
}

/** Everything that is wrong, each in its sentence. */
function Faults({ problem }: { problem: Error }) {
  const faults = problem instanceof ApiError ? problem.faults : [];
  if (faults.length === 0) return problem.message;
  return (
    <ul className="derived-faults">
      {faults.map(({ pointer, message }) => (
        <li key={pointer}>{message}</li>
      ))}
    </ul>
  );
}

import { Button } from "antd";
import { useState } from "react";

import { useKeepDerived, type Derived, type Sheet } from "../api";
import { OtherUnits } from "../results/OtherUnits";
import { BudgetBars } from "../results/Budget";
import { Compare, ComparedWords } from "../results/Compare";
import { Pieces } from "../results/Pieces";
import { useComparable } from "../results/useComparable";
import { WholeWorking } from "../results/WholeWorking";
import { RemoveMenu } from "../common/RemoveMenu";
import { useRemoval } from "../common/useRemoval";
import "./derived.css";
import { DerivedDialog } from "./DerivedDialog";
import { Bands } from "../charts";
import { say } from "../voice";
import { useShowError } from "../common/useShowError";

/** What is worked out from the quantities of a sheet. */
export function DerivedSection({ sheet }: { sheet: Sheet }) {
  const [open, setOpen] = useState<"new" | Derived | null>(null);
  const remove = useRemoval(sheet);
  return (
    <section aria-label={say("derived-derived-quantities")} className="sheet-derived">
      <div className="page-head">
        <h2>{say("derived-heading")}</h2>
        <Button onClick={() => setOpen("new")}>{say("derived-dialog-new")}</Button>
      </div>
      {sheet.derived.length === 0 ? (
        <p className="quiet">{say("derived-invitation")}</p>
      ) : (
        <div className="card">
          {sheet.derived.map((derived) => (
            <DerivedRow
              key={derived.id}
              derived={derived}
              sheet={sheet.id}
              onChange={() => setOpen(derived)}
              onRemove={() => remove("derived", derived)}
            />
          ))}
        </div>
      )}
      {open && (
        <DerivedDialog
          sheet={sheet}
          derived={open === "new" ? null : open}
          onClose={() => setOpen(null)}
        />
      )}
    </section>
  );
}

interface RowProps {
  derived: Derived;
  sheet: string;
  onChange: () => void;
  onRemove: () => void;
}

function DerivedRow({ derived, sheet, onChange, onRemove }: RowProps) {
  const showError = useShowError();
  const keep = useKeepDerived(sheet);
  const [whole, setWhole] = useState(false);
  const others = useComparable(sheet, derived);
  return (
    <article id={derived.id} className="derived-row">
      <h3>{derived.name}</h3>
      <span className="sheet-sentence">
        {derived.sentence ? derived.sentence : say("derived-value-none")}
      </span>
      <span className="quiet">
        {derived.relative_percent && `${derived.relative_percent} %, `}
        {derived.convention_name}
      </span>
      <span>
        <Button type="text" className="quiet" onClick={onChange}>
          {say("derived-change")}
        </Button>
        <RemoveMenu of={[{ key: derived.id, name: derived.name, onRemove }]} />
      </span>
      {derived.sentence && (
        <OtherUnits
          also={derived.also}
          onChange={(units) => keep.mutateAsync({ seen: derived, also_in: units })}
        />
      )}
      <p className="derived-how">
        <Pieces line={derived.working[0]?.spans ?? []} /> {say("derived-with")}{" "}
        {derived.inputs.map(({ symbol, words }) => `${symbol} = ${words}`).join(", ")}
      </p>
      <Bands of={derived.subtracted} />
      {derived.convention_note && <p className="derived-shared">{derived.convention_note}</p>}
      {derived.shared_zeros.map((words) => (
        <p key={words} className="derived-shared">
          {words}
        </p>
      ))}
      <div className="derived-more">
        <BudgetBars budget={derived.budget} />
        <ComparedWords compared={derived.compared} />
        <Button type="link" onClick={() => setWhole(true)}>
          {say("derived-whole-working")}
        </Button>
        <Compare
          compared={derived.compared}
          unit={derived.unit}
          others={others}
          onCompare={(compare) => keep.mutate({ seen: derived, compare }, { onError: showError })}
        />
      </div>
      {whole && (
        <WholeWorking
          title={derived.name}
          steps={derived.working}
          at=""
          sheet={sheet}
          onClose={() => setWhole(false)}
        />
      )}
    </article>
  );
}

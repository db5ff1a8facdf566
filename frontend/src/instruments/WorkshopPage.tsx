import { App, Button, Segmented, Skeleton } from "antd";
import { useState } from "react";

import {
  ApiError,
  useAmendTool,
  useDescription,
  useKeepTool,
  useTools,
  type Description,
  type Tool,
} from "../api";
import { Working } from "../results/Working";
import { AppearanceChoices } from "./AppearanceChoices";
import { Counting } from "./Counting";
import { asked, isKind, STARTS, type Draft, type Kind } from "./draft";
import "./instruments.css";
import { PartsDrawing } from "./PartsDrawing";
import { PitchSheet } from "./PitchSheet";
import { ScalesOnTrial } from "./ScalesOnTrial";
import { ToolShelf } from "./ToolShelf";
import { say } from "../voice";
import { useShowError } from "../common/useShowError";

const KINDS = Object.keys(STARTS) as Kind[];
const KIND_NAMES = (): Record<Kind, string> => ({
  vernier: say("instruments-caliper-2"),
  screw: say("instruments-screw-gauge-2"),
  angular: say("instruments-divided-circle-2"),
  plain: say("instruments-plain-scale"),
});

/** The workshop: describe a tool by looking and counting, see it drawn, trust its least count. */
export function WorkshopPage() {
  const { data: tools } = useTools();
  const [draft, setDraft] = useState<Draft>(STARTS.vernier);
  const [edited, setEdited] = useState<Tool | null>(null);
  const description = useDescription(asked(draft));
  const problem = description.error instanceof ApiError ? description.error : null;
  const kind = isKind(draft.kind) ? draft.kind : "vernier";
  const take = (from: Draft, tool: Tool | null) => {
    setDraft(from);
    setEdited(tool);
  };
  return (
    <div className="page workshop">
      <div className="page-head">
        <h1>{say("app-instruments")}</h1>
        <Segmented<Kind>
          aria-label={say("instruments-kind")}
          value={kind}
          onChange={(kind) => take({ ...STARTS[kind], name: draft.name ?? "" }, null)}
          options={KINDS.map((one) => ({ value: one, label: KIND_NAMES()[one] }))}
        />
        <KeepTool draft={draft} edited={edited} ready={!problem} onKept={() => setEdited(null)} />
      </div>
      <Counting draft={draft} problem={problem} onChange={setDraft} />
      {description.data ? (
        <Described draft={draft} description={description.data} onChange={setDraft} />
      ) : (
        <Skeleton active title={false} />
      )}
      {description.data?.traits.turns && <PitchSheet draft={draft} onChange={setDraft} />}
      <PartsDrawing kind={kind} />
      <ToolShelf tools={tools ?? []} onTake={take} />
    </div>
  );
}

interface DescribedProps {
  draft: Draft;
  description: Description;
  onChange: (draft: Draft) => void;
}

/** The drawing and what follows from it: least count by both routes, pattern, remarks. */
function Described({ draft, description, onChange }: DescribedProps) {
  const [shown, setShown] = useState<number | null>(null);
  return (
    <>
      <ScalesOnTrial
        start={shown}
        key={`${shown} ${description.kind} ${description.fine_divisions} ${description.span} ${description.numbering}`}
        record={asked(draft)}
        description={description}
      />
      <div className="workshop-facts">
        <section className="card" aria-label={say("instruments-least-count-2")}>
          <h2>
            {say("instruments-least-count-3")}{" "}
            <span className="part-fine mark-fine" data-testid="least-count">
              {description.useless ? say("instruments-none") : description.least_count_text}
            </span>
          </h2>
          <Working steps={description.derivation} />
          {description.notes.map((note) => (
            <p key={note.text} className={note.warning ? "note warning" : "note"}>
              {note.text}
              {note.position !== null && (
                <Button type="link" onClick={() => setShown(note.position)}>
                  {say("instruments-show-it")}
                </Button>
              )}
            </p>
          ))}
        </section>
        <AppearanceChoices draft={draft} description={description} onChange={onChange} />
      </div>
    </>
  );
}

interface KeepProps {
  draft: Draft;
  edited: Tool | null;
  ready: boolean;
  onKept: () => void;
}

function KeepTool({ draft, edited, ready, onKept }: KeepProps) {
  const { message } = App.useApp();
  const showError = useShowError();
  const keep = useKeepTool();
  const amend = useAmendTool();
  const name = draft.name?.trim() ?? "";
  const outcome = {
    onSuccess: () => {
      void message.success(say("instruments-own-kept", { name }));
      onKept();
    },
    onError: showError,
  };
  return (
    <div className="page-acts">
      {edited && (
        <Button
          disabled={!ready || name === ""}
          onClick={() => amend.mutate({ seen: edited, ...asked(draft), name }, outcome)}
        >
          {say("instruments-change", { name: edited.name })}
        </Button>
      )}
      {name === "" && <span className="quiet">{say("instruments-own-name-wanted")}</span>}
      <Button
        type="primary"
        disabled={!ready || name === ""}
        loading={keep.isPending}
        onClick={() => keep.mutate({ ...asked(draft), name }, outcome)}
      >
        {say("instruments-own-keep")}
      </Button>
    </div>
  );
}

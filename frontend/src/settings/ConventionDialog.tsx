import { Alert, Button, Input, Segmented, Switch } from "antd";
import { useState, type ReactNode } from "react";

import {
  ApiError,
  useConventionChoices,
  useDescribedConvention,
  useKeepConvention,
  type Convention,
  type Schemas,
} from "../api";
import { Dialog } from "../common/overlays";
import { useFaultFocus } from "../common/useFaultFocus";
import { say } from "../voice";

type Fields = Schemas["ConventionFields"];

interface Props {
  /** The one to be changed; null for a new one. */
  convention: Convention | null;
  onClose: () => void;
}

const BEGUN: Fields = {
  name: "",
  family: "limit",
  reading_limit: "1/2",
  zero_look: true,
  digits: 1,
  spread: "half-range",
  combine: "larger",
  coverage: "1",
  estimate: false,
};

/** How a course turns limits and scatter into one uncertainty, sentence by sentence. */
export function ConventionDialog({ convention, onClose }: Props) {
  return (
    <Dialog
      title={convention ? say("settings-convention-change") : say("settings-convention-new")}
      width={760}
      onCancel={onClose}
    >
      <ConventionForm {...{ convention, onClose }} />
    </Dialog>
  );
}

/** The fields that a family has: what belongs to the other is left out. */
function fieldsOf(draft: Fields): Fields {
  const { spread, combine, coverage, ...both } = draft;
  return draft.family === "limit"
    ? { ...both, spread: spread ?? "half-range", combine: combine ?? "larger" }
    : { ...both, coverage: (coverage ?? "1").replace(",", ".").replace(/\s+/g, "") };
}

function ConventionForm({ convention, onClose }: Props) {
  const keep = useKeepConvention();
  const form = useFaultFocus(keep.error);
  const [draft, setDraft] = useState<Fields>({ ...BEGUN, ...convention?.record });
  const set = (some: Partial<Fields>) => setDraft({ ...draft, ...some });
  const record = fieldsOf({ ...draft, reading_limit: draft.reading_limit.replace(",", ".") });
  const { data: described, error } = useDescribedConvention({
    ...record,
    name: record.name.trim() || say("settings-yours"),
  });
  const limits = draft.family === "limit";
  return (
    <form
      ref={form}
      className="convention-form"
      onSubmit={(event) => {
        event.preventDefault();
        keep.mutate({ id: convention?.id ?? null, record }, { onSuccess: onClose });
      }}
    >
      <Row label={say("settings-its-name")}>
        <Input
          name="name"
          aria-label={say("settings-its-name")}
          autoFocus
          maxLength={200}
          value={draft.name}
          placeholder={say("settings-first-year-course")}
          onChange={(event) => set({ name: event.target.value })}
        />
      </Row>
      <Row label={say("settings-convention-given")}>
        <Segmented<Fields["family"]>
          aria-label={say("settings-convention-given")}
          value={draft.family}
          onChange={(family) => set({ family })}
          options={[
            { value: "limit", label: say("settings-convention-limit") },
            { value: "standard", label: say("settings-convention-standard") },
          ]}
        />
      </Row>
      <Row label={say("settings-convention-look")}>
        <Input
          name="reading_limit"
          aria-label={say("settings-convention-look")}
          className="convention-short"
          value={draft.reading_limit}
          onChange={(event) => set({ reading_limit: event.target.value })}
        />
        {say("settings-least-counts")}
      </Row>
      <Row label={say("settings-convention-zero")}>
        <Switch
          aria-label={say("settings-convention-zero")}
          checked={draft.zero_look}
          onChange={(on) => set({ zero_look: on })}
        />
      </Row>
      {limits ? (
        <LimitRows draft={draft} set={set} />
      ) : (
        <Row label={say("settings-convention-coverage")}>
          <Input
            name="coverage"
            aria-label={say("settings-convention-coverage")}
            className="convention-short"
            value={draft.coverage ?? ""}
            placeholder={say("settings-2-or-95")}
            onChange={(event) => set({ coverage: event.target.value })}
          />
          {say("settings-convention-coverage-hint")}
        </Row>
      )}
      <Row label={say("settings-convention-figures")}>
        <Segmented
          aria-label={say("settings-convention-figures")}
          value={String(draft.digits)}
          onChange={(digits) => set({ digits: digits === "1-or-2" ? digits : Number(digits) })}
          options={[
            { value: "1", label: say("settings-one") },
            { value: "2", label: say("settings-two") },
            { value: "1-or-2", label: say("settings-convention-figures-two") },
          ]}
        />
      </Row>
      <Row label={say("settings-convention-tenths")}>
        <Switch
          aria-label={say("settings-convention-tenths")}
          checked={draft.estimate ?? false}
          onChange={(on) => set({ estimate: on })}
        />
      </Row>
      <p className="convention-said">{described && described.words.join(" ")}</p>
      {(keep.error ?? error) && <Alert type="error" title={told(keep.error ?? error)} />}
      <div className="page-acts">
        <Button
          type="primary"
          htmlType="submit"
          loading={keep.isPending}
          disabled={draft.name.trim() === ""}
        >
          {say("settings-keep-it")}
        </Button>
      </div>
    </form>
  );
}

function told(problem: Error | null): string {
  const faults = problem instanceof ApiError ? problem.faults : [];
  return faults.map(({ message }) => message).join("; ") || (problem?.message ?? "");
}

function LimitRows({ draft, set }: { draft: Fields; set: (some: Partial<Fields>) => void }) {
  const { data: choices } = useConventionChoices();
  return (
    <>
      <Row label={say("settings-convention-scatter")}>
        <Segmented<NonNullable<Fields["spread"]>>
          aria-label={say("settings-convention-scatter")}
          value={draft.spread ?? "half-range"}
          onChange={(spread) => set({ spread })}
          options={choices?.spread ?? []}
        />
      </Row>
      <Row label={say("settings-convention-combined")}>
        <Segmented<NonNullable<Fields["combine"]>>
          aria-label={say("settings-convention-combined")}
          value={draft.combine ?? "larger"}
          onChange={(combine) => set({ combine })}
          options={choices?.combine ?? []}
        />
      </Row>
    </>
  );
}

function Row({ label, children }: { label: string; children: ReactNode }) {
  return (
    <div className="convention-row">
      <span>{label}</span>
      <span>{children}</span>
    </div>
  );
}

import { Input } from "antd";

import type { Draft } from "./draft";
import { say } from "../voice";

interface Props {
  draft: Draft;
  onChange: (some: Pick<Draft, "number" | "maker_limit">) => void;
}

/** What is engraved on a tool or stands on its certificate, besides its scales. */
export function ToolFacts({ draft, onChange }: Props) {
  const unit = draft.unit === "arcmin" ? "′" : (draft.unit ?? "mm");
  return (
    <div className="tool-facts">
      <label>
        {say("instruments-serial")}
        <Input
          value={draft.number ?? ""}
          maxLength={100}
          onChange={(event) => onChange({ number: event.target.value || null })}
        />
      </label>
      <label>
        {say("instruments-maker-limit", { unit })}
        <Input
          value={draft.maker_limit ?? ""}
          inputMode="decimal"
          placeholder={say("instruments-not-counted")}
          onChange={(event) =>
            onChange({ maker_limit: event.target.value.trim().replace(",", ".") || null })
          }
        />
      </label>
    </div>
  );
}

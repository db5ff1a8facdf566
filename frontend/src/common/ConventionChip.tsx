import { Button, Select } from "antd";
import { useState } from "react";
import { Link, useMatch } from "react-router";

import {
  useAmendQuantity,
  useAmendSheet,
  useConventions,
  useSettingsQuery,
  useSheet,
  type Convention,
  type Quantity,
  type Sheet,
} from "../api";
import { Bubble } from "./overlays";
import { say } from "../voice";
import { useShowError } from "./useShowError";

/** The convention of what is on screen: a quantity, a sheet; elsewhere that of new sheets. */
export function ConventionChip() {
  const on = useMatch("/sheets/:sheet/*")?.params.sheet ?? "";
  const key = useMatch("/sheets/:sheet/quantities/:quantity")?.params.quantity;
  const { data: sheet } = useSheet(on);
  const { data: conventions = [] } = useConventions();
  if (!on) return <OfNewSheets conventions={conventions} />;
  if (!sheet) return null;
  const quantity = sheet.quantities.find(({ id }) => id === key);
  return <OfSheet key={quantity?.id ?? sheet.id} {...{ sheet, quantity, conventions }} />;
}

function OfNewSheets({ conventions }: { conventions: Convention[] }) {
  const { data: settings } = useSettingsQuery();
  const own = conventions.find(({ id }) => id === settings?.convention);
  const content = (
    <div className="convention-words">
      <Told words={own?.words} />
      <Link to="/settings">{say("app-choose-another")}</Link>
    </div>
  );
  return <Chip label={say("app-new-sheets")} name={own?.name} content={content} />;
}

interface OfSheetProps {
  sheet: Sheet;
  quantity: Quantity | undefined;
  conventions: Convention[];
}

function OfSheet({ sheet, quantity, conventions }: OfSheetProps) {
  const showError = useShowError();
  const amendSheet = useAmendSheet(sheet.id);
  const amendQuantity = useAmendQuantity(sheet.id);
  const [wanted, setWanted] = useState<string | null>(null);
  const several = sheet.conventions.length > 1;
  const [only] = sheet.conventions;
  const inForce = quantity?.convention ?? (several ? null : (only?.id ?? null));
  const name = quantity?.convention_name ?? (several ? say("app-several") : only?.name);
  const chosen = wanted ?? inForce;

  const listed = conventions.map((one) => ({ value: one.id, label: one.name }));
  if (quantity && !listed.some(({ value }) => value === quantity.convention))
    listed.push({ value: quantity.convention, label: quantity.convention_name });
  const here = (convention: string) =>
    // What holds for the sheet need not be named.
    quantity &&
    amendQuantity.mutate(
      { seen: quantity, convention: convention === sheet.convention ? null : convention },
      { onError: showError },
    );
  const content = (
    <div className="convention-words">
      <Told words={conventions.find(({ id }) => id === chosen)?.words} />
      {several && (
        <p>
          {say("app-differ-here", {
            names: sheet.conventions.map((one) => one.name).join(", "),
          })}
        </p>
      )}
      <Select
        aria-label={say("planner-convention")}
        value={chosen}
        onChange={setWanted}
        options={listed}
      />
      {chosen && (
        <div className="convention-acts">
          <Button
            type="primary"
            loading={amendSheet.isPending}
            onClick={() => amendSheet.mutate({ convention: chosen }, { onError: showError })}
          >
            {say("app-print-sheet")}
          </Button>
          {quantity && (
            <Button loading={amendQuantity.isPending} onClick={() => here(chosen)}>
              {say("app-print-quantity")}
            </Button>
          )}
        </div>
      )}
    </div>
  );
  return <Chip label={say("app-convention")} name={name} content={content} />;
}

function Told({ words = [] }: { words?: string[] | undefined }) {
  return words.map((sentence) => <p key={sentence}>{sentence}</p>);
}

interface ChipProps {
  label: string;
  name: string | undefined;
  content: React.ReactNode;
}

function Chip({ label, name, content }: ChipProps) {
  return (
    <Bubble placement="bottom" content={content}>
      <button type="button" className="convention-chip">
        {label} <b>{name?.toLowerCase() ?? "…"}</b>
      </button>
    </Bubble>
  );
}

import { Alert, Select } from "antd";
import { useState } from "react";
import { useNavigate } from "react-router";

import type { TableFit } from "../api";
import { Dialog } from "../common/overlays";
import { say } from "../voice";
import { TableDialog } from "./TableDialog";

interface Props {
  file: File;
  fits: TableFit[];
  onClose: () => void;
}

/** A table that was loaded: it is offered to the quantity that it fits best, or to another. */
export function TableArrives({ file, fits, onClose }: Props) {
  const navigate = useNavigate();
  const [chosen, setChosen] = useState(0);
  const fit = fits[chosen];
  if (!fit)
    return (
      <Dialog title={say("transfer-table")} footer={null} onCancel={onClose}>
        <Alert type="info" showIcon title={say("transfer-no-quantity-for-a-table")} />
      </Dialog>
    );
  return (
    <TableDialog
      key={chosen}
      sheet={fit.sheet}
      quantity={fit.quantity}
      file={file}
      onClose={onClose}
      onTaken={() => void navigate(`/sheets/${fit.sheet}/quantities/${fit.quantity}`)}
      above={
        <label className="table-for">
          {say("transfer-table-is-for", { name: file.name })}
          <Select
            aria-label={say("transfer-quantity")}
            value={chosen}
            onChange={setChosen}
            showSearch={{ optionFilterProp: "label" }}
            options={fits.map((one, value) => ({ value, label: named(one) }))}
          />
          {fit.rows === 0 && <span className="quiet">{say("transfer-does-not-fit")}</span>}
        </label>
      }
    />
  );
}

function named({ sheet_title, label, rows }: TableFit): string {
  const place = `${sheet_title || say("sheet-untitled-sheet")}: ${label}`;
  return rows > 0 ? `${place} (${say("counted-readings", { count: rows })})` : place;
}

import { Alert, Button, Select } from "antd";
import { useRef, useState } from "react";

import { ApiError, type FineAs, type TableFound } from "../api";
import { useTable } from "./useTable";
import { Dialog } from "../app/overlays";
import { say } from "../voice";

interface Props {
  sheet: string;
  quantity: string;
  fineAs: FineAs;
  onClose: () => void;
}

/** Readings from a table made elsewhere: its columns are matched before anything is stored. */
export function TableDialog({ sheet, quantity, fineAs, onClose }: Props) {
  const input = useRef<HTMLInputElement>(null);
  const [file, setFile] = useState<File | null>(null);
  const [found, setFound] = useState<TableFound | null>(null);
  const { preview, take } = useTable(sheet, quantity, fineAs);
  // What was chosen holds at once; the next choice may come before the server has answered.
  const [columns, setColumns] = useState<string[]>([]);
  function look(next: File, chosen: string[]) {
    setFile(next);
    setColumns(chosen);
    preview.mutate(
      { file: next, columns: chosen },
      {
        onSuccess: (answer) => {
          setFound(answer);
          setColumns(answer.columns);
        },
      },
    );
  }
  const problem = take.error ?? preview.error;
  const ready =
    found !== null && found.faults.length === 0 && found.count > 0 && !preview.isPending;
  return (
    <Dialog
      title={say("transfer-readings-from-a-table")}
      width={860}
      okText={
        found ? say("transfer-take-in", { count: found.count }) : say("transfer-take-them-in")
      }
      okButtonProps={{ disabled: !ready }}
      confirmLoading={take.isPending}
      onOk={() => {
        if (file && found) take.mutate({ file, columns: found.columns }, { onSuccess: onClose });
      }}
      onCancel={onClose}
    >
      <input
        ref={input}
        type="file"
        hidden
        accept=".csv,.tsv,.txt,text/csv"
        aria-label={say("transfer-table-file")}
        onChange={(event) => {
          const picked = event.target.files?.[0];
          // A corrected file keeps what was chosen for the one before, if it has as many columns.
          if (picked) look(picked, columns);
          event.target.value = "";
        }}
      />
      <p>
        <Button onClick={() => input.current?.click()} loading={preview.isPending}>
          {say("transfer-choose-a-csv-file")}
        </Button>{" "}
        <span className="quiet">
          {file ? file.name : say("transfer-semicolons-tabs-and-decimal-commas-are")}
        </span>
      </p>
      {problem && <Alert type="error" showIcon title={told(problem)} />}
      {file && found && (
        <Matched
          found={found}
          columns={columns.length > 0 ? columns : found.columns}
          onColumns={(chosen) => look(file, chosen)}
        />
      )}
    </Dialog>
  );
}

function told(problem: Error): string {
  const faults = problem instanceof ApiError ? problem.faults : [];
  return faults.map(({ message }) => message).join("; ") || problem.message;
}

const NAMES = (): Record<string, string> => ({
  "": say("transfer-leave-it"),
  main: say("transfer-main"),
  fine: say("transfer-line"),
  turn: say("transfer-turn"),
  place: say("desk-place"),
  note: say("desk-note"),
  excluded: say("transfer-set-aside-because"),
  reader: say("desk-read-by"),
});
/** A role of a column, which may be numbered: `fine 2`. */
function nameOf(role: string): string {
  const [what = "", at] = role.split(" ");
  const name = NAMES()[what] ?? "";
  return at ? say("transfer-numbered", { name, at }) : name;
}
const MOST_FAULTS = 8;

interface MatchedProps {
  found: TableFound;
  columns: string[];
  onColumns: (columns: string[]) => void;
}

/** The first rows, with a choice over each column of what it holds. */
function Matched({ found, columns, onColumns }: MatchedProps) {
  const { faults } = found;
  return (
    <>
      <div className="table-found">
        <table>
          <thead>
            <tr>
              {columns.map((role, place) => (
                <th key={place}>
                  <span>{found.header[place] ?? say("transfer-column", { at: place + 1 })}</span>
                  <Select
                    aria-label={say("transfer-column-holds", { at: place + 1 })}
                    value={role}
                    popupMatchSelectWidth={false}
                    options={["", ...found.roles].map((one) => ({
                      value: one,
                      label: nameOf(one),
                    }))}
                    onChange={(chosen) =>
                      // What another column held before goes to this one.
                      onColumns(
                        columns.map((one, other) =>
                          other === place ? chosen : one === chosen ? "" : one,
                        ),
                      )
                    }
                  />
                </th>
              ))}
              <th className="figure">{say("transfer-reads")}</th>
            </tr>
          </thead>
          <tbody>
            {found.rows.map((row, index) => (
              <tr key={index}>
                {row.map((cell, place) => (
                  <td key={place} data-faulty={isFaulty(faults, index, place)}>
                    {cell}
                  </td>
                ))}
                <td className="figure">
                  {faults.length === 0 ? (found.readings[index] ?? "") : ""}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {found.count > found.rows.length && (
        <p className="quiet">
          {say("transfer-rows-more", { count: found.count - found.rows.length })}
        </p>
      )}
      {faults.length > 0 && (
        <ul className="faults">
          {faults.slice(0, MOST_FAULTS).map(({ pointer, message }) => (
            <li key={`${pointer} ${message}`}>{message}</li>
          ))}
          {faults.length > MOST_FAULTS && (
            <li>{say("transfer-more", { count: faults.length - MOST_FAULTS })}</li>
          )}
        </ul>
      )}
    </>
  );
}

function isFaulty(faults: TableFound["faults"], row: number, column: number): boolean {
  return faults.some(({ pointer }) => pointer === `/rows/${row}/${column}`);
}

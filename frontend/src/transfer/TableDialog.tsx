import { Alert, Button, Modal, Select } from "antd";
import { useRef, useState } from "react";

import { ApiError, type FineAs, type TableFound } from "../api";
import { useShow } from "../app/settings";
import { useTable } from "./useTable";

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
    <Modal
      open
      title="Readings from a table"
      width={860}
      okText={found ? `Take ${found.count} in` : "Take them in"}
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
        aria-label="table file"
        onChange={(event) => {
          const picked = event.target.files?.[0];
          // A corrected file keeps what was chosen for the one before, if it has as many columns.
          if (picked) look(picked, columns);
          event.target.value = "";
        }}
      />
      <p>
        <Button onClick={() => input.current?.click()} loading={preview.isPending}>
          Choose a CSV file
        </Button>{" "}
        <span className="quiet">
          {file ? file.name : "Semicolons, tabs and decimal commas are understood."}
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
    </Modal>
  );
}

function told(problem: Error): string {
  const faults = problem instanceof ApiError ? problem.faults : [];
  return faults.map(({ message }) => message).join("; ") || problem.message;
}

const NAMES: Record<string, string> = {
  "": "leave it",
  fine: "line",
  excluded: "set aside because",
  reader: "read by",
};
const nameOf = (role: string) => NAMES[role] ?? role.replace("fine", "line");
const MOST_FAULTS = 8;

interface MatchedProps {
  found: TableFound;
  columns: string[];
  onColumns: (columns: string[]) => void;
}

/** The first rows, with a choice over each column of what it holds. */
function Matched({ found, columns, onColumns }: MatchedProps) {
  const show = useShow();
  const { faults } = found;
  return (
    <>
      <div className="table-found">
        <table>
          <thead>
            <tr>
              {columns.map((role, place) => (
                <th key={place}>
                  <span>{found.header[place] ?? `column ${place + 1}`}</span>
                  <Select
                    aria-label={`column ${place + 1} holds`}
                    value={role}
                    popupMatchSelectWidth={false}
                    options={["", ...found.roles].map((one) => ({
                      value: one,
                      label: show(nameOf(one)),
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
              <th className="figure">reads</th>
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
                  {faults.length === 0 && show(found.readings[index] ?? "")}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {found.count > found.rows.length && (
        <p className="quiet">and {found.count - found.rows.length} rows more</p>
      )}
      {faults.length > 0 && (
        <ul className="faults">
          {faults.slice(0, MOST_FAULTS).map(({ pointer, message }) => (
            <li key={`${pointer} ${message}`}>{show(message)}</li>
          ))}
          {faults.length > MOST_FAULTS && <li>and {faults.length - MOST_FAULTS} more</li>}
        </ul>
      )}
    </>
  );
}

function isFaulty(faults: TableFound["faults"], row: number, column: number): boolean {
  return faults.some(({ pointer }) => pointer === `/rows/${row}/${column}`);
}

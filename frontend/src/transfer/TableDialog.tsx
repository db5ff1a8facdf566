import { Alert, Button, Input, Select } from "antd";
import { type ReactNode, useEffect, useEffectEvent, useRef, useState } from "react";

import { ApiError, type FineAs, type MainAs, type TableFound } from "../api";
import { type Asked, useTable } from "./useTable";
import { Dialog } from "../common/overlays";
import { PickedFile } from "../common/PickedFile";
import { say } from "../voice";

interface Props {
  sheet: string;
  quantity: string;
  /** The table, where it is there already. */
  file?: File;
  /** What stands above it: for which quantity it is. */
  above?: ReactNode;
  onClose: () => void;
  onTaken?: () => void;
}

/** The files that are taken for tables. */
export const TABLES = ".csv,.tsv,.txt,text/csv";

/** Readings from a table made elsewhere: its columns are matched before anything is stored. */
export function TableDialog({ sheet, quantity, above, onClose, onTaken, ...given }: Props) {
  const { asked, found, columns, look, take, preview } = useLooking(sheet, quantity, given.file);
  const problem = take.error ?? preview.error;
  const count = found?.good ?? 0;
  const left = (found?.count ?? 0) - count;
  function taken() {
    onClose();
    onTaken?.();
  }
  return (
    <Dialog
      title={say("transfer-table")}
      width={860}
      okText={
        found === null
          ? say("transfer-table-submit")
          : left > 0 && count > 0
            ? say("transfer-take-the-good", { count })
            : say("transfer-take-in", { count: found.count })
      }
      okButtonProps={{ disabled: count === 0 || preview.isPending }}
      confirmLoading={take.isPending}
      onOk={() => {
        if (asked && found)
          take.mutate(
            { ...asked, columns: found.columns, goodOnly: left > 0 },
            { onSuccess: taken },
          );
      }}
      onCancel={onClose}
    >
      {above}
      {!given.file && (
        <ChooseTable
          file={asked?.file ?? null}
          loading={preview.isPending}
          // A corrected file keeps what was chosen for the one before, if it has as many columns.
          onChosen={(file) => look({ ...untouched(file), columns })}
        />
      )}
      {problem && <Alert type="error" showIcon title={told(problem)} />}
      {asked && found && (
        <Columns
          asked={found.asked}
          onSaid={(role, one) => look({ ...asked, stands: { ...asked.stands, [role]: one } })}
        />
      )}
      {asked && found && (
        <Matched
          found={found}
          columns={columns.length > 0 ? columns : found.columns}
          onColumns={(chosen) => look({ ...asked, columns: chosen })}
          onMend={(cell, text) => look({ ...asked, mended: new Map(asked.mended).set(cell, text) })}
        />
      )}
      {found && left > 0 && count > 0 && (
        <p className="quiet">{say("transfer-rows-left-out", { count: left })}</p>
      )}
    </Dialog>
  );
}

interface ColumnsProps {
  asked: TableFound["asked"];
  onSaid: (role: string, stands: string) => void;
}

/** What has to be said of a column before its cells mean one reading each. */
function Columns({ asked, onSaid }: ColumnsProps) {
  return asked.map(({ role, choices }) => (
    <p key={role} className="table-asked" role="group" aria-label={nameOf(role)}>
      {say("transfer-column-stands-for", { column: nameOf(role) })}{" "}
      {(choices as (FineAs | MainAs)[]).map((one) => (
        <Button key={one} onClick={() => onSaid(role, one)}>
          {say(`figures-as-${one}`)}
        </Button>
      ))}
    </p>
  ));
}

/** How the table is being read: what was asked last, and what came of it. */
function useLooking(sheet: string, quantity: string, given: File | undefined) {
  const [asked, setAsked] = useState<Asked | null>(given ? untouched(given) : null);
  const [found, setFound] = useState<TableFound | null>(null);
  // What was chosen holds at once; the next choice may come before the server has answered.
  const [columns, setColumns] = useState<string[]>([]);
  const { preview, take } = useTable(sheet, quantity);
  const looked = (next: Asked) =>
    preview.mutate(next, {
      onSuccess: (answer) => {
        setFound(answer);
        setColumns(answer.columns);
      },
    });
  function look(next: Asked) {
    setAsked(next);
    setColumns(next.columns);
    looked(next);
  }
  const first = useEffectEvent(() => {
    if (asked) looked(asked);
  });
  useEffect(() => first(), []);
  return { asked, found, columns, look, take, preview };
}

/** A table as its headings tell it. */
const untouched = (file: File): Asked => ({
  ...{ file, columns: [], mended: new Map(), stands: {} },
});

interface ChooseTableProps {
  file: File | null;
  loading: boolean;
  onChosen: (file: File) => void;
}

function ChooseTable({ file, loading, onChosen }: ChooseTableProps) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <PickedFile
        input={input}
        accept={TABLES}
        label={say("transfer-table-file")}
        onPicked={onChosen}
      />
      <p>
        <Button onClick={() => input.current?.click()} loading={loading}>
          {say("transfer-table-choose")}
        </Button>{" "}
        <span className="quiet">{file ? file.name : say("transfer-table-hint")}</span>
      </p>
    </>
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
  excluded: say("transfer-table-excluded"),
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
  onMend: (cell: string, text: string) => void;
}

/** The first rows, with a choice over each column of what it holds. */
function Matched({ found, columns, onColumns, onMend }: MatchedProps) {
  const { faults } = found;
  const shown = found.rows.filter(({ reads }) => reads !== "").length;
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
            {found.rows.map(({ at, cells, reads }) => (
              <tr key={at}>
                {cells.map((cell, place) => {
                  const faulty = isFaulty(faults, at, place);
                  return (
                    <td key={place} data-faulty={faulty}>
                      {faulty ? (
                        <MendedCell
                          cell={cell}
                          name={say("transfer-mend-cell", { row: at + 1, at: place + 1 })}
                          onMend={(text) => onMend(`${at}/${place}`, text)}
                        />
                      ) : (
                        cell
                      )}
                    </td>
                  );
                })}
                <td className="figure">{reads}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {found.good > shown && (
        <p className="quiet">{say("transfer-rows-more", { count: found.good - shown })}</p>
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

interface MendedCellProps {
  cell: string;
  name: string;
  onMend: (text: string) => void;
}

/** A cell that cannot be read, to be mended where it stands. */
function MendedCell({ cell, name, onMend }: MendedCellProps) {
  const mend = (text: string) => {
    if (text !== cell) onMend(text);
  };
  return (
    <Input
      key={cell}
      size="small"
      aria-label={name}
      aria-invalid
      defaultValue={cell}
      onBlur={(event) => mend(event.target.value)}
      onPressEnter={(event) => mend(event.currentTarget.value)}
    />
  );
}

function isFaulty(faults: TableFound["faults"], row: number, column: number): boolean {
  return faults.some(({ pointer }) => pointer === `/rows/${row}/${column}`);
}

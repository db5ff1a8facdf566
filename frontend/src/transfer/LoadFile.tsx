import { FolderOpenOutlined } from "@ant-design/icons";
import { App, Button, Space } from "antd";
import { useEffect, useRef, useState } from "react";

import { ApiError, type Arrival, type TableFit } from "../api";
import { DRAWN } from "../common/icons";
import { PickedFile } from "../common/PickedFile";
import { ArrivalsDialog } from "./ArrivalsDialog";
import { Faults } from "./Faults";
import { letGo, picked, type Picked } from "./files";
import "./transfer.css";
import { percentOf } from "./send";
import { TableArrives } from "./TableArrives";
import { TakenDialog, type Became } from "./TakenDialog";
import { TABLES } from "./TableDialog";
import { useLookThrough } from "./useArrivals";
import { useFits } from "./useTable";
import { say } from "../voice";

/** Buttons for files, and the whole page as a place to drop some: they are looked through first. */
export function LoadFile() {
  const input = useRef<HTMLInputElement>(null);
  const folder = useRef<HTMLInputElement>(null);
  const { modal } = App.useApp();
  const look = useLookThrough();
  const [found, setFound] = useState<{ files: Picked[]; arrivals: Arrival[] } | null>(null);
  const fits = useFits();
  const [table, setTable] = useState<{ file: File; fits: TableFit[] } | null>(null);
  const [taken, setTaken] = useState<Became[] | null>(null);
  function take(files: Picked[]) {
    const [only, ...others] = files;
    if (!only) return;
    if (others.length === 0 && isTable(only.file)) {
      fits.mutate(only.file, {
        onSuccess: (answer) => setTable({ file: only.file, fits: answer }),
        onError: (problem) => refused(files, problem),
      });
      return;
    }
    look.mutate(files, {
      onSuccess: (arrivals) => setFound({ files, arrivals }),
      onError: (problem) => refused(files, problem),
    });
  }
  function refused(files: Picked[], problem: Error) {
    void modal.error({
      title: say("transfer-failed", { name: files.map(({ path }) => path).join(", ") }),
      width: 640,
      content:
        problem instanceof ApiError && problem.faults.length > 0 ? (
          <Faults faults={problem.faults} />
        ) : (
          problem.message
        ),
    });
  }
  const dropped = useDrop(take);
  return (
    <>
      <PickedFile
        input={input}
        accept={`.json,.zip,.pdf,application/json,application/zip,application/pdf,${TABLES}`}
        label={say("transfer-logbook-file")}
        many="files"
        onPicked={(_, all) => take(picked(all))}
      />
      <PickedFile
        input={folder}
        accept=""
        label={say("transfer-folder")}
        many="folder"
        onPicked={(_, all) => take(picked(all))}
      />
      <Space.Compact>
        <Button onClick={() => input.current?.click()} loading={look.isPending || fits.isPending}>
          {look.progress
            ? say("transfer-looking-through", { progress: percentOf(look.progress) })
            : say("transfer-load")}
        </Button>
        <Button
          aria-label={say("transfer-load-folder")}
          title={say("transfer-load-folder")}
          icon={<FolderOpenOutlined {...DRAWN} />}
          onClick={() => folder.current?.click()}
        />
      </Space.Compact>
      {dropped && <div className="drop-here">{say("transfer-drop")}</div>}
      {found && <ArrivalsDialog {...found} onTaken={setTaken} onClose={() => setFound(null)} />}
      {taken && <TakenDialog taken={taken} onClose={() => setTaken(null)} />}
      {table && <TableArrives {...table} onClose={() => setTable(null)} />}
    </>
  );
}

/** Whether a file is a table of readings, by its name. */
const isTable = (file: File) => /\.(csv|tsv|txt)$/i.test(file.name);

/** Whether files are held over the page; hands on those that are let go. */
function useDrop(take: (files: Picked[]) => void): boolean {
  const [over, setOver] = useState(false);
  const hand = useRef(take);
  useEffect(() => {
    hand.current = take;
  });
  useEffect(() => {
    const holds = (event: DragEvent) => event.dataTransfer?.types.includes("Files") ?? false;
    function hover(event: DragEvent) {
      if (!holds(event)) return;
      event.preventDefault();
      setOver(true);
    }
    function leave(event: DragEvent) {
      if (event.relatedTarget === null) setOver(false);
    }
    function drop(event: DragEvent) {
      if (!holds(event)) return;
      event.preventDefault();
      setOver(false);
      if (event.dataTransfer) void letGo(event.dataTransfer).then(hand.current);
    }
    window.addEventListener("dragover", hover);
    window.addEventListener("dragleave", leave);
    window.addEventListener("drop", drop);
    return () => {
      window.removeEventListener("dragover", hover);
      window.removeEventListener("dragleave", leave);
      window.removeEventListener("drop", drop);
    };
  }, []);
  return over;
}

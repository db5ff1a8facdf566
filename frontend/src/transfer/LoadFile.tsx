import { App, Button } from "antd";
import { useEffect, useRef, useState } from "react";

import { ApiError, type Arrival, type TableFit } from "../api";
import { PickedFile } from "../common/PickedFile";
import { ArrivalsDialog } from "./ArrivalsDialog";
import { Faults } from "./Faults";
import "./transfer.css";
import { percentOf } from "./send";
import { TableArrives } from "./TableArrives";
import { TABLES } from "./TableDialog";
import { useLookThrough } from "./useArrivals";
import { useFits } from "./useTable";
import { say } from "../voice";

/** A button for a file, and the whole page as a place to drop one: it is looked through first. */
export function LoadFile() {
  const input = useRef<HTMLInputElement>(null);
  const { modal } = App.useApp();
  const look = useLookThrough();
  const [found, setFound] = useState<{ file: File; arrivals: Arrival[] } | null>(null);
  const fits = useFits();
  const [table, setTable] = useState<{ file: File; fits: TableFit[] } | null>(null);
  function take(file: File | undefined) {
    if (!file) return;
    if (isTable(file)) {
      fits.mutate(file, {
        onSuccess: (answer) => setTable({ file, fits: answer }),
        onError: (problem) => refused(file, problem),
      });
      return;
    }
    look.mutate(file, {
      onSuccess: (arrivals) => setFound({ file, arrivals }),
      onError: (problem) => refused(file, problem),
    });
  }
  function refused(file: File, problem: Error) {
    void modal.error({
      title: say("transfer-was-not-loaded", { name: file.name }),
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
        onPicked={take}
      />
      <Button onClick={() => input.current?.click()} loading={look.isPending || fits.isPending}>
        {look.progress
          ? say("transfer-looking-through", { progress: percentOf(look.progress) })
          : say("transfer-load-a-file")}
      </Button>
      {dropped && <div className="drop-here">{say("transfer-drop-a-logbook-file-or-a")}</div>}
      {found && <ArrivalsDialog {...found} onClose={() => setFound(null)} />}
      {table && <TableArrives {...table} onClose={() => setTable(null)} />}
    </>
  );
}

/** Whether a file is a table of readings, by its name. */
const isTable = (file: File) => /\.(csv|tsv|txt)$/i.test(file.name);

/** Whether a file is held over the page; hands on the one that is let go. */
function useDrop(take: (file: File | undefined) => void): boolean {
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
      hand.current(event.dataTransfer?.files[0]);
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

import { Alert, App, Button, Segmented } from "antd";
import { useEffect, useState } from "react";

import { useAmendReading, type Instrument, type Quantity, type Reading } from "../api";
import { Dialog } from "../app/overlays";
import { sent } from "../outbox/useOutbox";
import { say } from "../voice";
import { acrossMiddle, type Ends, type Size } from "./edge";
import { EdgeOnPicture } from "./EdgeOnPicture";
import "./photo.css";
import {
  useAskPhotograph,
  useKeepPhotograph,
  useProposedEdge,
  type Asked,
  type Says,
  type Thimble,
} from "./queries";
import { SaysPanel } from "./SaysPanel";
import { TakePicture } from "./TakePicture";

/** A picture that was taken, and what a hand has set on it so far. */
export interface Photo {
  picture: Blob;
  address: string;
  size: Size;
  ends: Ends;
  thimble: Thimble;
  /** Whether its edge is still being looked for. */
  seeking: boolean;
}

/** A picture from its taking on; kept while the dialog is closed, until it is let go. */
export function usePhoto(sheet: string, instrument: Instrument) {
  const [photo, setPhoto] = useState<Photo | null>(null);
  const [problem, setProblem] = useState("");
  const propose = useProposedEdge(sheet, instrument.id);
  const address = photo?.address;
  useEffect(() => {
    const url = address;
    return () => {
      if (url) URL.revokeObjectURL(url);
    };
  }, [address]);
  const change = (some: Partial<Photo>) => setPhoto((before) => before && { ...before, ...some });
  function take(picture: Blob) {
    const url = URL.createObjectURL(picture);
    const image = new Image();
    setProblem("");
    image.onerror = () => {
      URL.revokeObjectURL(url);
      setProblem(say("photo-is-none"));
    };
    image.onload = () => {
      const size = { width: image.naturalWidth, height: image.naturalHeight };
      const ends = acrossMiddle(size, instrument.kind === "screw");
      const thimble = instrument.appearance.thimble_numerals;
      setPhoto({ picture, address: url, size, ends, thimble, seeking: true });
      propose.mutate(picture, {
        // What a hand has set meanwhile holds.
        onSuccess: (found) =>
          setPhoto((now) => (now?.ends === ends ? { ...now, ends: found } : now)),
        onSettled: () => setPhoto((now) => now && { ...now, seeking: false }),
      });
    };
    image.src = url;
  }
  return { photo, problem, take, change, drop: () => setPhoto(null) };
}

interface Props {
  sheet: string;
  quantity: Quantity;
  instrument: Instrument;
  /** The reading that it shows; null while that is still at the equation. */
  reading: Reading | null;
  /** Records what is at the equation; its id, or null where nothing can be recorded yet. */
  onRecord?: () => string | null;
  /** What would be recorded; empty where nothing can be yet. */
  entered?: string;
  held: ReturnType<typeof usePhoto>;
  onClose: () => void;
}

const LOOKS = { single: [""], pair: ["a", "b"], windows: ["a", "b", "a2", "b2"] } as const;
type Look = Asked["look"];

/** A photograph of a reading: taken, its edge set, asked, and kept or left. */
export function PhotoDialog({ sheet, quantity, instrument, held, onClose, ...props }: Props) {
  const { photo, problem, take, change, drop } = held;
  const { message } = App.useApp();
  const [made, setMade] = useState<string | null>(props.reading?.id ?? null);
  const [says, setSays] = useState<Says | null>(null);
  const looks = looksOf(props.reading);
  const [look, setLook] = useState<Look>(looks[0] ?? "");
  const ask = useAskPhotograph(sheet);
  const keep = useKeepPhotograph(sheet);
  const amend = useAmendReading(sheet);
  const [waiting, setWaiting] = useState(false);
  const reading = quantity.readings.find(({ id }) => id === made) ?? null;
  const asked: Asked | null = photo && {
    picture: photo.picture,
    edge: photo.ends,
    thimble: photo.thimble,
    look,
  };
  const fail = (reason: unknown) =>
    void message.error(reason instanceof Error ? reason.message : String(reason));
  async function askIt() {
    if (!asked) return;
    const id = made ?? props.onRecord?.() ?? null;
    if (id === null) return;
    setMade(id);
    setWaiting(true);
    try {
      // The picture speaks only once the reader's own line is on record.
      await sent();
      setSays(await ask.mutateAsync({ reading: id, asked }));
    } catch (reason) {
      fail(reason);
    } finally {
      setWaiting(false);
    }
  }
  async function keepIt(taken?: Says["takes"][number]) {
    if (!asked || !reading) return;
    try {
      await keep.mutateAsync({ seen: reading, asked });
      if (taken) {
        const seen = { id: reading.id, version: reading.version + 1 };
        await amend.mutateAsync({ seen, ...taken.figures, why: say("photo-why") });
      }
      drop();
      onClose();
    } catch (reason) {
      fail(reason);
    }
  }
  /** A picture whose reading is on record belongs to no other. */
  function leave() {
    if (made !== null) drop();
    onClose();
  }
  const busy = keep.isPending || amend.isPending;
  return (
    <Dialog title={say("photo-title")} width={1080} className="photo-dialog" onCancel={leave}>
      {problem && <Alert type="error" showIcon title={problem} />}
      {!photo && <TakePicture onTaken={take} />}
      {photo && says && (
        <>
          <SaysPanel key={photo.address} {...photo} ends={photo.ends} says={says} />
          <Outcome
            {...{ says, busy }}
            onKeep={(taken) => void keepIt(taken)}
            onSetEdge={() => setSays(null)}
            onAnother={() => {
              setSays(null);
              drop();
            }}
          />
        </>
      )}
      {photo && !says && (
        <>
          <p className="photo-task" role="status">
            {say(photo.seeking ? "photo-seeking" : taskOf(instrument))}
          </p>
          <EdgeOnPicture {...photo} onEnds={(ends) => change({ ends })} />
          <div className="photo-choices">
            {instrument.kind === "screw" && (
              <Choice
                label={say("photo-thimble-grows")}
                value={photo.thimble}
                options={[
                  { value: "up", label: say("photo-thimble-up") },
                  { value: "down", label: say("photo-thimble-down") },
                ]}
                onChange={(thimble) => change({ thimble: thimble as Thimble })}
              />
            )}
            {looks.length > 1 && (
              <Choice
                label={say("photo-which-look")}
                value={look}
                options={looks.map((one) => ({ value: one, label: nameOf(one) }))}
                onChange={(one) => setLook(one as Look)}
              />
            )}
          </div>
          <AskActs
            entered={made === null ? (props.entered ?? "") : null}
            own={reading ? ownOf(reading, looks.indexOf(look)) : ""}
            waiting={waiting}
            onAsk={() => void askIt()}
            onAnother={drop}
            onBack={onClose}
          />
        </>
      )}
    </Dialog>
  );
}

const taskOf = ({ kind }: Instrument) =>
  kind === "screw" ? "photo-set-edge-thimble" : "photo-set-edge";

function looksOf(reading: Reading | null): readonly Look[] {
  const count = reading?.looks.length ?? 1;
  return count === 4 ? LOOKS.windows : count === 2 ? LOOKS.pair : LOOKS.single;
}

const nameOf = (look: Look) =>
  ({
    "": "",
    a: say("desk-first-position"),
    b: say("desk-second-position"),
    a2: say("desk-first-position-window-2"),
    b2: say("desk-second-position-window-2"),
  })[look];

const ownOf = ({ looks }: Reading, at: number) => looks[at]?.line ?? "";

interface ChoiceProps {
  label: string;
  value: string;
  options: { value: string; label: string }[];
  onChange: (value: string) => void;
}

function Choice({ label, ...props }: ChoiceProps) {
  return (
    <label>
      <span>{label}</span> <Segmented {...props} />
    </label>
  );
}

interface AskProps {
  /** What is at the equation, to be recorded first; null where the reading is on record. */
  entered: string | null;
  /** The line that was read. */
  own: string;
  waiting: boolean;
  onAsk: () => void;
  onAnother: () => void;
  onBack: () => void;
}

/** Blind first: the picture is asked once the reader's own line stands. */
function AskActs({ entered, own, waiting, onAsk, onAnother, onBack }: AskProps) {
  const blank = entered === "";
  return (
    <div className="photo-acts">
      {blank && <p className="photo-first">{say("photo-own-first")}</p>}
      {blank ? (
        <Button type="primary" size="large" onClick={onBack}>
          {say("photo-back-to-equation")}
        </Button>
      ) : (
        <Button type="primary" size="large" loading={waiting} onClick={onAsk}>
          {entered === null
            ? say("photo-ask", { own })
            : say("photo-record-and-ask", { read: entered })}
        </Button>
      )}
      <Button size="large" onClick={onAnother}>
        {say("photo-another")}
      </Button>
    </div>
  );
}

interface OutcomeProps {
  says: Says;
  busy: boolean;
  onKeep: (taken?: Says["takes"][number]) => void;
  onSetEdge: () => void;
  onAnother: () => void;
}

/** What may be done with what the picture says: the reader decides. */
function Outcome({ says, busy, onKeep, onSetEdge, onAnother }: OutcomeProps) {
  const told = says.verdict !== "cannot-tell";
  return (
    <div className="photo-acts">
      <Button
        type={told ? "primary" : "default"}
        size="large"
        loading={busy}
        onClick={() => onKeep()}
      >
        {say("photo-keep-own", { own: says.own })}
      </Button>
      {says.takes.map((taken) => (
        <Button key={taken.line} size="large" disabled={busy} onClick={() => onKeep(taken)}>
          {say("photo-take-line", { line: taken.line, read: taken.read })}
        </Button>
      ))}
      <Button size="large" type="text" onClick={onSetEdge}>
        {say("photo-edge-again")}
      </Button>
      <Button size="large" type={told ? "text" : "primary"} onClick={onAnother}>
        {say("photo-another")}
      </Button>
    </div>
  );
}

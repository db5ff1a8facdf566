import { Alert, Segmented } from "antd";
import { useEffect, useRef, useState } from "react";

import type { Instrument, Quantity, Reading } from "../api";
import { Dialog } from "../common/overlays";
import { say } from "../voice";
import { EdgeOnPicture } from "./EdgeOnPicture";
import { AskActs, Outcome } from "./PhotoActs";
import "./photo.css";
import type { Asked, Says, Thimble } from "./queries";
import { SaysPanel } from "./SaysPanel";
import { TakePicture } from "./TakePicture";
import { askedOf, useAsking } from "./useAsking";
import type { usePhoto } from "./usePhoto";

interface Props {
  sheet: string;
  quantity: Quantity;
  instrument: Instrument;
  /** The reading that it shows; null while that is still at the equation. */
  reading: Reading | null;
  /** The reading that was recorded after the picture was taken: it is asked about at once. */
  recorded?: string | null;
  /** Records what is at the equation; its id, or null where nothing can be recorded yet. */
  onRecord?: () => string | null;
  /** What would be recorded; empty where nothing can be yet. */
  entered?: string;
  /** What was recorded is changed to what the picture says. */
  onTaken?: () => void;
  held: ReturnType<typeof usePhoto>;
  onClose: () => void;
}

const LOOKS = { single: [""], pair: ["a", "b"], windows: ["a", "b", "a2", "b2"] } as const;
type Look = Asked["look"];

/** A photograph of a reading: taken, its edge set, asked, and kept or left. */
export function PhotoDialog({ sheet, quantity, instrument, held, onClose, ...props }: Props) {
  const { photo, problem, take, change, drop } = held;
  const [made, setMade] = useState<string | null>(props.reading?.id ?? props.recorded ?? null);
  const [says, setSays] = useState<Says | null>(null);
  const looks = looksOf(props.reading);
  const [look, setLook] = useState<Look>(looks[0] ?? "");
  const reading = quantity.readings.find(({ id }) => id === made) ?? null;
  const asking = useAsking(sheet, photo && askedOf(photo, look));
  /** A picture whose reading is on record belongs to no other. */
  function leave() {
    if (made !== null) drop();
    onClose();
  }
  async function ask() {
    const id = made ?? props.onRecord?.() ?? null;
    if (id === null) return;
    setMade(id);
    setSays(await asking.ask(id));
  }
  const speaks = props.recorded != null && photo !== null && !photo.seeking;
  const spoken = useRef(false);
  useEffect(() => {
    if (!speaks || spoken.current) return;
    spoken.current = true;
    void ask();
  });
  function done() {
    drop();
    onClose();
  }
  return (
    <Dialog title={say("photo-title")} width={1080} className="photo-dialog" onCancel={leave}>
      {problem && <Alert type="error" showIcon title={problem} />}
      {!photo && <TakePicture onTaken={take} />}
      {photo && says && (
        <>
          <SaysPanel key={photo.address} {...photo} ends={photo.ends} says={says} />
          <Outcome
            says={says}
            busy={asking.busy}
            onKeep={(taken) => {
              if (taken) props.onTaken?.();
              if (reading) void asking.keep(reading, done, taken);
            }}
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
            {instrument.traits.turns && (
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
            waiting={asking.busy}
            onAsk={() => void ask()}
            onAnother={drop}
            onBack={onClose}
          />
        </>
      )}
    </Dialog>
  );
}

const taskOf = ({ traits }: Instrument) =>
  traits.turns ? "photo-set-edge-thimble" : "photo-set-edge";

function looksOf(reading: Reading | null): readonly Look[] {
  const count = reading?.looks.length ?? 1;
  return count === 4 ? LOOKS.windows : count === 2 ? LOOKS.pair : LOOKS.single;
}

const nameOf = (look: Look) =>
  ({
    "": "",
    a: say("desk-first-position"),
    b: say("desk-second-position"),
    a2: say("desk-position-first-2"),
    b2: say("desk-position-second-2"),
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

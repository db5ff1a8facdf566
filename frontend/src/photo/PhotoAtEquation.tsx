import { CameraOutlined } from "@ant-design/icons";
import { Button } from "antd";
import { useState } from "react";

import type { Instrument, Quantity, Sheet } from "../api";
import { DRAWN } from "../common/icons";
import { say } from "../voice";
import { PhotoDialog } from "./PhotoDialog";
import { usePhoto } from "./usePhoto";

interface Props {
  sheet: Pick<Sheet, "id">;
  quantity: Quantity;
  instrument: Instrument;
  /** Records what is at the equation; its id, or null where nothing can be recorded yet. */
  onRecord: () => string | null;
  /** The reading that was recorded last; null before the first. */
  made: string | null;
  /** What would be recorded; empty where nothing can be yet. */
  entered: string;
  /** What was recorded is changed to what the picture says. */
  onTaken: () => void;
}

/** Beside the equation: a photograph of what is being read, which speaks after the reader. */
export function PhotoAtEquation({ sheet, made, ...props }: Props) {
  const { quantity, instrument } = props;
  const [open, setOpen] = useState(false);
  const held = usePhoto(sheet.id, instrument);
  const [seen, setSeen] = useState(made);
  const [shown, setShown] = useState<string | null>(null);
  if (seen !== made) {
    // What is recorded while a picture waits for it is what that shows: it speaks at once.
    setSeen(made);
    if (held.photo && !open) {
      setShown(made);
      setOpen(true);
    }
  }
  // Looks of a pair are photographed once they are on record: a picture shows one of them.
  if (quantity.sort !== "single" || !instrument.traits.fine_scale) return null;
  return (
    <>
      <Button
        type="text"
        className="photo-button"
        data-held={held.photo !== null}
        icon={<CameraOutlined {...DRAWN} />}
        aria-label={say(held.photo ? "photo-button-held" : "photo-button")}
        title={say(held.photo ? "photo-button-held" : "photo-button")}
        onClick={() => setOpen(true)}
      />
      {open && (
        <PhotoDialog
          {...props}
          sheet={sheet.id}
          reading={null}
          recorded={shown}
          held={held}
          onClose={() => {
            setShown(null);
            setOpen(false);
          }}
        />
      )}
    </>
  );
}

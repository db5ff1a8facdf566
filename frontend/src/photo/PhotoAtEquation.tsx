import { CameraOutlined } from "@ant-design/icons";
import { Button } from "antd";
import { useState } from "react";

import type { Instrument, Quantity } from "../api";
import { DRAWN } from "../app/icons";
import { say } from "../voice";
import { PhotoDialog, usePhoto } from "./PhotoDialog";

interface Props {
  sheet: string;
  quantity: Quantity;
  instrument: Instrument;
  /** Records what is at the equation; its id, or null where nothing can be recorded yet. */
  onRecord: () => string | null;
  /** What would be recorded; empty where nothing can be yet. */
  entered: string;
}

/** Beside the equation: a photograph of what is being read, which speaks after the reader. */
export function PhotoAtEquation(props: Props) {
  const { sheet, instrument } = props;
  const [open, setOpen] = useState(false);
  const held = usePhoto(sheet, instrument);
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
      {open && <PhotoDialog {...props} reading={null} held={held} onClose={() => setOpen(false)} />}
    </>
  );
}

import { CameraOutlined } from "@ant-design/icons";
import { Button, Spin } from "antd";
import { useState } from "react";

import type { Reading } from "../api";
import { DRAWN } from "../common/icons";
import { Dialog } from "../common/overlays";
import { say } from "../voice";
import type { Ends, Size } from "./edge";
import "./photo.css";
import { pictureAddress, useKeptSays, useRemovePhotograph, type Kept } from "./queries";
import { SaysPanel } from "./SaysPanel";
import { useShowError } from "../common/useShowError";

interface Props {
  sheet: string;
  reading: Reading;
  index: number;
}

/** The mark of a row that has photographs; opens them. */
export function KeptMark({ sheet, reading, index }: Props) {
  const [open, setOpen] = useState(false);
  const { photographs } = reading;
  if (photographs.length === 0) return null;
  const [first] = photographs;
  return (
    <>
      <Button
        type="text"
        className="photo-mark"
        data-verdict={first?.verdict}
        icon={<CameraOutlined {...DRAWN} />}
        aria-label={say("photo-of-reading", { at: index + 1, count: photographs.length })}
        onClick={() => setOpen(true)}
      />
      {open && (
        <Dialog
          title={say("photo-of-reading", { at: index + 1, count: photographs.length })}
          width={1080}
          className="photo-dialog"
          onCancel={() => setOpen(false)}
        >
          {photographs.map((kept) => (
            <OneKept key={kept.strip} {...{ sheet, reading, kept }} />
          ))}
        </Dialog>
      )}
    </>
  );
}

interface OneProps {
  sheet: string;
  reading: Reading;
  kept: Kept;
}

/** A photograph as it was kept: what it said then, and what it says to the reading as it stands. */
function OneKept({ sheet, reading, kept }: OneProps) {
  const showError = useShowError();
  const remove = useRemovePhotograph(sheet);
  const { data: says, error } = useKeptSays(sheet, reading, kept.strip);
  const address = pictureAddress(sheet, kept.strip);
  const [size, setSize] = useState<Size | null>(null);
  const [x1 = 0, y1 = 0, x2 = 0, y2 = 0] = kept.edge;
  const ends: Ends = [
    { x: x1, y: y1 },
    { x: x2, y: y2 },
  ];
  return (
    <section className="kept-photo">
      <p className="photo-task">{kept.words}</p>
      {error && <p className="quiet">{error.message}</p>}
      {!size && (
        // Its size is not known before it is here.
        <img
          className="heard"
          src={address}
          alt=""
          onLoad={({ currentTarget: { naturalWidth: width, naturalHeight: height } }) =>
            setSize({ width, height })
          }
        />
      )}
      {!error && !(says && size) && <Spin />}
      {says && size && <SaysPanel {...{ address, size, ends, says }} />}
      <div className="kept-whole">
        {!error && (
          <img src={pictureAddress(sheet, kept.whole)} alt={say("photo-whole")} loading="lazy" />
        )}
        <Button
          danger
          type="text"
          loading={remove.isPending}
          onClick={() =>
            remove.mutate({ seen: reading, strip: kept.strip }, { onError: showError })
          }
        >
          {say("photo-take-away")}
        </Button>
      </div>
    </section>
  );
}

import { Checkbox, Slider } from "antd";
import { useState } from "react";

import { figure, say } from "../voice";
import { Cutout, EdgeOnPicture } from "./EdgeOnPicture";
import type { Ends, Point, Size } from "./edge";
import { pitchOf, placeOf } from "./overlay";
import { OverlayDrawing } from "./OverlayDrawing";
import type { Laid, Says } from "./queries";

interface Props {
  address: string;
  size: Size;
  ends: Ends;
  says: Says;
}

/** So many fine lines on either side are seen through a lens. */
const REACH = 2.1;
const AROUND = 3;

/** What a picture says, and the drawing over it, so that the eye can judge the machine. */
export function SaysPanel({ address, size, ends, says }: Props) {
  const { laid, verdict } = says;
  const found = says.position ?? 0;
  const [shown, setShown] = useState(found);
  const [over, setOver] = useState(true);
  return (
    <div className="photo-says">
      <div className="photo-words" data-verdict={verdict} role="status">
        {says.sentences.map((sentence) => (
          <p key={sentence}>{sentence}</p>
        ))}
      </div>
      {laid && (
        <div className="photo-close">
          <Lenses {...{ address, size, says, laid }} over={over ? shown : null} />
          <div className="photo-drawing">
            <Checkbox checked={over} onChange={({ target }) => setOver(target.checked)}>
              {say("photo-drawing-over")}
            </Checkbox>
            <label>
              <span>{say("photo-drawing-at", { line: figure(shown.toFixed(2)) })}</span>
              <Slider
                min={Math.round((found - AROUND) * 20) / 20}
                max={Math.round((found + AROUND) * 20) / 20}
                step={0.05}
                value={shown}
                disabled={!over}
                tooltip={{ open: false }}
                ariaLabelForHandle={say("photo-drawing-moves")}
                onChange={setShown}
              />
            </label>
          </div>
        </div>
      )}
      <EdgeOnPicture {...{ address, size, ends }} onEnds={null}>
        {laid && over && <OverlayDrawing laid={laid} shown={shown} />}
      </EdgeOnPicture>
    </div>
  );
}

interface LensesProps {
  address: string;
  size: Size;
  says: Says;
  laid: Laid;
  /** The line at which the drawing lies over it; null without one. */
  over: number | null;
}

/** The picture where its own line is and where the reader's is, side by side. */
function Lenses({ address, size, says, laid, over }: LensesProps) {
  const { line, own, own_line: ownLine } = says;
  if (line === null) return null;
  const reach = Math.max(REACH * pitchOf(laid), 12);
  const same = Math.round(ownLine) === line;
  const both: [string, Point | null][] = [
    [say(same ? "photo-lens-both" : "photo-lens-picture", { line }), placeOf(laid, line)],
  ];
  if (!same)
    both.push([say("photo-lens-yours", { line: own }), placeOf(laid, Math.round(ownLine))]);
  return (
    <div className="photo-lenses">
      {both.map(
        ([caption, middle]) =>
          middle && (
            <figure key={caption}>
              <Cutout {...{ address, size, middle, reach }}>
                {over !== null && <OverlayDrawing laid={laid} shown={over} />}
              </Cutout>
              <figcaption>{caption}</figcaption>
            </figure>
          ),
      )}
    </div>
  );
}

import { Segmented, Slider } from "antd";

import { say } from "../voice";
import { PARTS, USUAL, type PhotoLook } from "./look";

interface Props {
  look: PhotoLook | null;
  onLook: (look: PhotoLook | null) => void;
}

/** Whether the scales are drawn or photographed, and how hard a photograph it is. */
export function LookChoice({ look, onLook }: Props) {
  return (
    <div className="look-choice">
      <Segmented
        aria-label={say("practice-looks-how")}
        value={look ? "photo" : "drawn"}
        options={(["drawn", "photo"] as const).map((value) => ({
          value,
          label: say(`practice-look-${value}`),
        }))}
        onChange={(value) => onLook(value === "photo" ? USUAL : null)}
      />
      {look && (
        <details>
          <summary>{say("practice-how-hard")}</summary>
          {PARTS.map((part) => (
            <label key={part}>
              {say(`practice-look-${part}`)}
              <Slider
                ariaLabelForHandle={say(`practice-look-${part}`)}
                min={0}
                max={1}
                step={0.1}
                tooltip={{ open: false }}
                value={look[part]}
                onChange={(value) => onLook({ ...look, [part]: value })}
              />
            </label>
          ))}
        </details>
      )}
    </div>
  );
}

import { Button } from "antd";

import { useDescription, type Instrument } from "../api";
import { SlowMotion, Strip, useLineAfterLine } from "../strip";
import { say } from "../voice";

interface Props {
  instrument: Instrument;
  onDone: () => void;
}

/** The tool in the hand in slow motion, in the place of its strip. */
export function Played({ instrument, onDone }: Props) {
  const { data } = useDescription(instrument.record);
  const motion = useLineAfterLine(data?.slide ?? [], { step: 0, running: true });
  const { shown } = motion;
  return (
    <div className="played">
      <Strip
        instrument={instrument}
        position={shown?.position ?? 0}
        live
        answer={null}
        zeroError={0}
        meeting={shown?.lines ?? []}
        label={say("desk-scales-of", { name: instrument.name })}
        readOut={shown?.words ?? ""}
        onMove={onDone}
        onRelease={onDone}
      />
      {data && (
        <SlowMotion motion={motion} taken>
          <Button onClick={onDone}>{say("desk-leave-zero")}</Button>
        </SlowMotion>
      )}
    </div>
  );
}

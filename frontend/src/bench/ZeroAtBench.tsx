import { Button } from "antd";

import { say } from "../voice";
import type { AtBench, ButtonAct, Standing } from "./AtBench";
import { BenchScales } from "./BenchScales";

interface Props {
  bench: AtBench;
  standing: Standing;
  /** The scales are before the eye: what they show can be typed. */
  onLifted: () => void;
}

/** From wherever the hand is to bare faces closed before the eye, in its order. */
const WAY: ButtonAct[] = ["unlock", "open", "close", "lock", "lift"];

/** The tool of the bench with its bare faces closed, or the way there. */
export function ZeroAtBench({ bench, standing, onLifted }: Props) {
  const { may, tool } = standing;
  return (
    <div className="bench">
      <BenchScales standing={standing} onMove={bench.drags} />
      <div className="bench-acts" role="group" aria-label={say("bench-hand")}>
        {WAY.filter((act) => may.includes(act)).map((act) => (
          <Button
            key={act}
            onClick={() => {
              bench.does(act);
              if (act === "lift") onLifted();
            }}
          >
            {say(`bench-act-${act}`, { tool })}
          </Button>
        ))}
      </div>
      <p className="bench-says" role="status">
        {bench.refused ||
          (may.includes("zero") ? standing.remark : say("bench-not-now", { do: "zero" }))}
      </p>
    </div>
  );
}

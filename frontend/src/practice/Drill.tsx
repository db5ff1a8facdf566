import { Button } from "antd";
import { useState } from "react";

import { figure, say } from "../voice";
import { Exercise, Said, type Diagnosis, type Which } from "./Exercise";
import type { PhotoLook } from "./look";

const PICTURES = 10;

interface Done {
  said: Diagnosis;
  seconds: number;
}

/** Ten pictures on end, each answered once, and how long it took. */
export function Drill({ which, look }: { which: Which; look: PhotoLook | null }) {
  const [begun, setBegun] = useState(false);
  const [done, setDone] = useState<Done[]>([]);
  if (!begun)
    return (
      <section className="card drill">
        <p>{say("practice-drill-why", { count: PICTURES })}</p>
        <Button type="primary" size="large" autoFocus onClick={() => setBegun(true)}>
          {say("practice-drill-begin")}
        </Button>
      </section>
    );
  if (done.length === PICTURES)
    return (
      <Summary
        done={done}
        onAgain={() => {
          setDone([]);
          setBegun(false);
        }}
      />
    );
  const now = { ...which, at: which.at + done.length };
  return (
    <>
      <p className="quiet">{say("practice-drill-at", { at: done.length + 1, of: PICTURES })}</p>
      <Exercise
        key={now.at}
        which={now}
        look={look}
        onNext={() => undefined}
        onOnce={(said, seconds) => setDone([...done, { said, seconds }])}
      />
    </>
  );
}

const isRight = ({ said }: Done) => said.verdict === "right" || said.verdict === "rounded";

function Summary({ done, onAgain }: { done: Done[]; onAgain: () => void }) {
  const times = done.map(({ seconds }) => seconds).sort((a, b) => a - b);
  const middle = times[Math.floor(times.length / 2)] ?? 0;
  return (
    <section className="card drill" role="status">
      <p>
        <b>
          {say("practice-drill-done", {
            right: done.filter(isRight).length,
            of: done.length,
            seconds: figure(middle.toFixed(0)),
          })}
        </b>
      </p>
      <ol>
        {done.map((one, at) => (
          <li key={at}>
            <Said said={one.said} />
          </li>
        ))}
      </ol>
      <Button type="primary" size="large" onClick={onAgain}>
        {say("practice-drill-again")}
      </Button>
    </section>
  );
}

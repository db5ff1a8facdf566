import { Button, Popconfirm, Skeleton } from "antd";
import { useState } from "react";

import { useForgetPath, usePath, type Schemas } from "../api";
import { say } from "../voice";
import { Exercise, type Which } from "./Exercise";
import type { PhotoLook } from "./look";

interface Props {
  look: PhotoLook | null;
  /** Practises one skill by choice. */
  onPick: (kind: Which["kind"], question: Which["question"]) => void;
}

/** The path: six pictures at first, then what helps most, and where one stands. */
export function Path({ look, onPick }: Props) {
  const { data: path, refetch } = usePath();
  // What comes next is decided when it is asked for, not while a picture is read.
  const [held, setHeld] = useState<Schemas["Path"] | null>(null);
  const forget = useForgetPath();
  if (!path) return <Skeleton active title={false} />;
  if (!held) setHeld(path);
  const { next: which, checked, check, because, minutes } = held ?? path;
  const begun = path.checked > 0;
  const goOn = () => void refetch().then(({ data }) => setHeld(data ?? null));
  const begin = () => forget.mutate(undefined, { onSuccess: () => setHeld(null) });
  return (
    <div className="practice-path">
      <div>
        <p className="quiet">
          {checked < check
            ? say("practice-check", { at: checked + 1, of: check })
            : because || say("practice-minutes", { minutes })}
        </p>
        <Exercise key={JSON.stringify(which)} which={which} look={look} onNext={goOn} />
      </div>
      <aside aria-label={say("practice-skills")}>
        <h2>{say("practice-skills")}</h2>
        <ul className="skills">
          {path.skills.map((skill) => (
            <Skill key={skill.key} skill={skill} onPick={onPick} />
          ))}
        </ul>
        {begun && (
          <Popconfirm
            title={say("practice-forget-sure")}
            okText={say("practice-forget")}
            cancelText={say("app-cancel")}
            onConfirm={begin}
          >
            <Button type="text">{say("practice-forget")}</Button>
          </Popconfirm>
        )}
      </aside>
    </div>
  );
}

/** A skill: how likely it is there, and how that came about. */
function Skill({ skill, onPick }: { skill: Schemas["Skill"]; onPick: Props["onPick"] }) {
  const { name, known, open, mastered, attempts, right, course } = skill;
  const state = mastered ? "mastered" : open ? "open" : "locked";
  return (
    <li data-state={state}>
      <button
        type="button"
        onClick={() => onPick(skill.kind as Which["kind"], skill.question)}
        aria-label={say("practice-skill-stands", { name, state, right, attempts })}
      >
        <span>{name}</span>
        <Course points={course} />
        <meter min={0} max={1} value={known} aria-hidden="true" />
      </button>
    </li>
  );
}

const WIDE = 72;
const HIGH = 22;

/** How likely a skill was there after each attempt: a small plot. */
function Course({ points }: { points: Schemas["Trace"][] }) {
  const step = WIDE / Math.max(points.length - 1, 1);
  const path = points.map(({ known }, at) => `${at * step},${HIGH - 1 - known * (HIGH - 3)}`);
  return (
    <svg className="course" width={WIDE} height={HIGH} aria-hidden="true">
      <path d={`M0 ${HIGH - 0.5}H${WIDE}`} />
      {points.length > 1 && <polyline points={path.join(" ")} />}
      {points.length === 1 && <circle cx={2} cy={path[0]?.split(",")[1]} r={2} />}
    </svg>
  );
}

import { Button, Input, Segmented, Select, Skeleton, type InputRef } from "antd";
import { useEffect, useRef, useState } from "react";
import { useSearchParams } from "react-router";

import { useExercise, useGiveAnswer, useShownAnswer, type Schemas } from "../api";
import { say } from "../voice";
import "./practice.css";
import { StillScales } from "./StillScales";

type Which = Required<Schemas["Which"]>;

const KINDS = ["", "vernier", "screw", "angular"] as const;
const LENGTHS = ["", "least-count", "zero-error", "reading", "corrected", "mean"] as const;
const ANGLES = ["", "least-count", "reading", "sweep"] as const;
const EVERY = [...LENGTHS, "sweep"] as const;
const questionsOf = (kind: Which["kind"]): readonly Which["question"][] =>
  kind === "" ? EVERY : kind === "angular" ? ANGLES : LENGTHS;

const SEEDS = 1_000_000;
const newSeed = () => crypto.getRandomValues(new Uint32Array(1)).map((one) => one % SEEDS)[0] ?? 0;

/** Scales to be read: an answer is right, or it is said which slip gives exactly that. */
export default function PracticePage() {
  const [address, setAddress] = useSearchParams();
  const [own] = useState(newSeed);
  const which: Which = {
    seed: Number(address.get("seed") ?? own) || 0,
    at: Math.max(1, Number(address.get("at")) || 1),
    kind: KINDS.find((kind) => kind === address.get("kind")) ?? "",
    question: EVERY.find((question) => question === address.get("question")) ?? "",
  };
  const go = (some: Partial<Which>) => {
    const next = Object.entries({ ...which, ...some }).filter(([, value]) => value !== "");
    setAddress(new URLSearchParams(next.map(([name, value]) => [name, String(value)])));
  };
  return (
    <div className="page practice">
      <h1>{say("practice-practice")}</h1>
      <p className="quiet">{say("practice-why")}</p>
      <div className="practice-choice">
        <Segmented
          aria-label={say("instruments-kind")}
          value={which.kind}
          options={KINDS.map((kind) => ({
            value: kind,
            label: say(`practice-kind-${kind || "any"}`),
          }))}
          onChange={(kind) => go({ kind, question: "", at: 1 })}
        />
        <Select
          aria-label={say("practice-question")}
          value={which.question}
          options={questionsOf(which.kind).map((question) => ({
            value: question,
            label: say(`practice-question-${question || "any"}`),
          }))}
          onChange={(question) => go({ question, at: 1 })}
        />
      </div>
      <Exercise key={JSON.stringify(which)} which={which} onNext={() => go({ at: which.at + 1 })} />
    </div>
  );
}

function Exercise({ which, onNext }: { which: Which; onNext: () => void }) {
  const { data: exercise, error } = useExercise(which);
  const [given, setGiven] = useState("");
  const [shown, setShown] = useState(false);
  const answer = useGiveAnswer();
  const said = answer.data;
  const done = shown || said?.verdict === "right" || said?.verdict === "rounded";
  const { data: right } = useShownAnswer(which, done);
  const blank = useRef<InputRef>(null);
  const next = useRef<HTMLButtonElement>(null);
  useEffect(() => {
    if (done) next.current?.focus();
    else if (said) blank.current?.select();
  }, [done, said]);
  if (error) return <p role="alert">{error.message}</p>;
  if (!exercise) return <Skeleton active />;
  return (
    <section className="card practice-exercise" aria-label={exercise.id}>
      {exercise.looks.map(({ label, position, seen }, index) => (
        <figure key={index}>
          <figcaption>{label}</figcaption>
          <StillScales
            instrument={exercise.instrument}
            answer={right?.looks[index] ?? null}
            position={position}
            label={`${label}: ${seen.join(" ")}`}
          />
        </figure>
      ))}
      <form
        className="practice-answer"
        onSubmit={(event) => {
          event.preventDefault();
          if (given.trim()) answer.mutate({ ...which, given });
        }}
      >
        <label>
          {exercise.task}
          <Input
            ref={blank}
            autoFocus
            size="large"
            maxLength={100}
            autoComplete="off"
            suffix={exercise.unit}
            value={given}
            onChange={(event) => setGiven(event.target.value)}
          />
        </label>
        <Button type={done ? "default" : "primary"} size="large" htmlType="submit">
          {say("practice-answer")}
        </Button>
        {!done && (
          <Button size="large" type="text" onClick={() => setShown(true)}>
            {say("practice-show-me")}
          </Button>
        )}
        {done && (
          <Button ref={next} size="large" type="primary" onClick={onNext}>
            {say("practice-next")}
          </Button>
        )}
      </form>
      <div className="practice-said" role="status" data-verdict={said?.verdict}>
        {said?.sentences.map((sentence) => (
          <p key={sentence}>{sentence}</p>
        ))}
        {done && right && <p>{say("practice-it-is", { answer: right.answer })}</p>}
      </div>
    </section>
  );
}

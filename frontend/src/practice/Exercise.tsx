import { Button, Input, Skeleton, type InputRef } from "antd";
import { useEffect, useRef, useState } from "react";

import { useExercise, useGiveAnswer, useShownAnswer, type Schemas } from "../api";
import { say } from "../voice";
import type { PhotoLook } from "./look";
import { StillScales } from "./StillScales";

export type Which = Required<Schemas["Which"]>;
export type Diagnosis = Schemas["Diagnosis"];

interface Props {
  which: Which;
  look: PhotoLook | null;
  onNext: () => void;
  /** Called with what is said of the answer: there is no second try then. */
  onOnce?: (said: Diagnosis, seconds: number) => void;
}

const LONGEST_SECONDS = 600;
const isDone = (said: Diagnosis | undefined) =>
  said?.verdict === "right" || said?.verdict === "rounded";

/** Scales to be read, a question, and what is said of the answer. */
export function Exercise({ which, look, onNext, onOnce }: Props) {
  const { data: exercise, error } = useExercise(which);
  const [given, setGiven] = useState("");
  const [shown, setShown] = useState(false);
  const answer = useGiveAnswer();
  const said = answer.data;
  const done = shown || isDone(said);
  const { data: right } = useShownAnswer(which, done);
  const blank = useRef<InputRef>(null);
  const next = useRef<HTMLButtonElement>(null);
  const begun = useRef(0);
  useEffect(() => {
    begun.current = performance.now();
  }, [exercise]);
  useEffect(() => {
    if (done) next.current?.focus();
    else if (said) blank.current?.select();
  }, [done, said]);
  if (error) return <p role="alert">{error.message}</p>;
  if (!exercise) return <Skeleton active title={false} />;
  const give = () => {
    const seconds = Math.min((performance.now() - begun.current) / 1000, LONGEST_SECONDS);
    answer.mutate(
      { ...which, given, seconds },
      { onSuccess: (found) => found.verdict !== "unreadable" && onOnce?.(found, seconds) },
    );
  };
  return (
    <section className="card practice-exercise" aria-label={exercise.id}>
      {exercise.looks.map(({ label, position, seen }, index) => (
        <figure key={index}>
          <figcaption>{label}</figcaption>
          <StillScales
            instrument={exercise.instrument}
            answer={right?.looks[index] ?? said?.looks[index] ?? null}
            position={position}
            look={look}
            label={`${label}: ${seen.join(" ")}`}
          />
        </figure>
      ))}
      <form
        className="practice-answer"
        onSubmit={(event) => {
          event.preventDefault();
          if (given.trim()) give();
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
        {!done && !onOnce && (
          <Button size="large" type="text" onClick={() => setShown(true)}>
            {say("practice-show-me")}
          </Button>
        )}
        {done && !onOnce && (
          <Button ref={next} size="large" type="primary" onClick={onNext}>
            {say("practice-next")}
          </Button>
        )}
      </form>
      <Said said={said}>
        {done && right && <p>{say("practice-it-is", { answer: right.answer })}</p>}
      </Said>
    </section>
  );
}

/** What is said of an answer; where several slips give it, the question that tells them apart. */
export function Said({
  said,
  children,
}: {
  said: Diagnosis | undefined;
  children?: React.ReactNode;
}) {
  const [wrote, setWrote] = useState<{ of: Diagnosis; at: number } | null>(null);
  const apart = said?.apart;
  const chosen = said && wrote?.of === said ? apart?.choices[wrote.at] : undefined;
  const sentences = chosen ? [chosen.sentence] : apart ? [] : (said?.sentences ?? []);
  return (
    <div className="practice-said" role="status" data-verdict={said?.verdict}>
      {sentences.map((sentence) => (
        <p key={sentence}>{sentence}</p>
      ))}
      {said && apart && !chosen && (
        <p>
          {say("practice-not-right")} {apart.asks}{" "}
          {apart.choices.map(({ text, slip }, at) => (
            <Button key={slip} onClick={() => setWrote({ of: said, at })}>
              {text}
            </Button>
          ))}
        </p>
      )}
      {children}
    </div>
  );
}

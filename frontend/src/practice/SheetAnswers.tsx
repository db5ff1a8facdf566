import { Button, Input, InputNumber } from "antd";
import { useState } from "react";

import { useMarkSheet } from "../api";
import { say } from "../voice";
import { Said } from "./Exercise";

const USUAL_COUNT = 8;
const MOST = 100;

/** The answers that were written on a printed sheet, typed in by number. */
export function SheetAnswers() {
  const [seed, setSeed] = useState<number | null>(null);
  const [count, setCount] = useState(USUAL_COUNT);
  const [given, setGiven] = useState<string[]>([]);
  const mark = useMarkSheet();
  const answers = Array.from({ length: count }, (_, at) => given[at] ?? "");
  const some = answers.some((one) => one.trim() !== "");
  const marks = mark.data;
  const type = (at: number, text: string) =>
    setGiven(answers.map((old, other) => (other === at ? text : old)));
  return (
    <form
      className="card sheet-answers"
      onSubmit={(event) => {
        event.preventDefault();
        if (seed !== null && some) mark.mutate({ seed, given: answers });
      }}
    >
      <p className="quiet">{say("practice-sheet-why")}</p>
      <div className="sheet-which">
        <label>
          {say("practice-sheet-number")}
          <InputNumber
            controls={false}
            min={0}
            max={10 ** 9}
            precision={0}
            value={seed}
            onChange={setSeed}
          />
        </label>
        <label>
          {say("practice-sheet-count")}
          <InputNumber
            controls={false}
            min={1}
            max={MOST}
            precision={0}
            value={count}
            onChange={(many) => setCount(many ?? USUAL_COUNT)}
          />
        </label>
      </div>
      <ol>
        {answers.map((text, at) => (
          <li key={at}>
            <Input
              aria-label={say("practice-sheet-answer", { at: at + 1 })}
              maxLength={100}
              autoComplete="off"
              value={text}
              onChange={(event) => type(at, event.target.value)}
            />
            {marks?.numbers.includes(at + 1) && (
              <Said said={marks.marks[marks.numbers.indexOf(at + 1)]} />
            )}
          </li>
        ))}
      </ol>
      <Button type="primary" size="large" htmlType="submit" disabled={seed === null || !some}>
        {say("practice-sheet-look")}
      </Button>
      {mark.error && <p role="alert">{mark.error.message}</p>}
      {marks && (
        <p role="status">
          <b>{say("practice-sheet-right", { right: marks.right, of: marks.numbers.length })}</b>
        </p>
      )}
    </form>
  );
}

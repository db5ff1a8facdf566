import { Button, Input, Skeleton } from "antd";
import { useRef, useState } from "react";
import { useNavigate } from "react-router";

import { useShelf, useTools, type Instrument, type ZeroStands } from "../api";
import { ClosedScales } from "../instruments/ClosedScales";
import { calledLike, type Draft } from "../instruments/draft";
import { say } from "../voice";
import { SideChoices } from "../zero/SideChoices";
import "../zero/zero.css";
import "./begin.css";
import { useBegin } from "./useBegin";
import { useShowError } from "../common/useShowError";

/** A tool to begin with: one of the student's own, or a common pattern. */
interface Choice {
  id: string;
  title: string;
  name: string;
  record: Draft;
  instrument: Instrument;
}

/** Name, tool and zero on one page: the way from nothing to the first reading. */
export function BeginPage() {
  const { data: tools } = useTools();
  const { data: shelf } = useShelf();
  if (!tools || !shelf) return <Skeleton active title={false} className="page" />;
  const own = tools.map((tool) => ({ ...tool, title: tool.name, instrument: tool }));
  const patterns = shelf.map((one) => ({ ...one, name: calledLike(one.record) }));
  return <Begin own={own} patterns={patterns} />;
}

function Begin({ own, patterns }: { own: Choice[]; patterns: Choice[] }) {
  const navigate = useNavigate();
  const showError = useShowError();
  const begin = useBegin();
  const [name, setName] = useState("");
  const [picked, setPicked] = useState(own[0] ?? patterns[0]);
  const zero = useRef<HTMLDivElement>(null);
  if (!picked) return null;
  const { instrument } = picked;
  const closes = instrument.traits.closes;
  const goOn = (stands: ZeroStands | null) =>
    begin.mutate(
      { name: name.trim() || say("begin-unnamed"), tool: picked, stands },
      {
        onSuccess: ({ sheet, quantity }) => {
          // A zero that is off is looked at before anything else.
          const look = stands === "on" ? null : stands;
          void navigate(`/sheets/${sheet}/quantities/${quantity}`, { state: { look } });
        },
        onError: showError,
      },
    );
  return (
    <div className="page begin">
      <h1>{say("begin-measure-something")}</h1>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          if (closes) zero.current?.querySelector("button")?.focus();
          else goOn(null);
        }}
      >
        <label className="begin-name">
          {say("begin-name")}
          <Input
            autoFocus
            size="large"
            maxLength={200}
            value={name}
            placeholder={say("begin-for-example")}
            onChange={(event) => setName(event.target.value)}
          />
        </label>
        <Tools legend={say("instruments-your-tools")} choices={own} {...{ picked, setPicked }} />
        {own.length > 0 ? (
          <details className="begin-others">
            <summary>{say("begin-or-one-like")}</summary>
            <Tools
              legend={say("instruments-common-patterns")}
              choices={patterns}
              {...{ picked, setPicked }}
            />
          </details>
        ) : (
          <Tools legend={say("begin-tool")} choices={patterns} {...{ picked, setPicked }} />
        )}
        {/* Enter in any field goes on: to the zero, or to the first reading. */}
        <button type="submit" hidden />
      </form>
      <section className="card begin-zero" aria-label={say("begin-its-zero")}>
        <ClosedScales instrument={instrument} />
        <div ref={zero} className="begin-sides">
          {closes ? (
            <>
              <p>{say(instrument.traits.turns ? "begin-zero-screw" : "begin-zero-vernier")}</p>
              <SideChoices instrument={instrument} chosen={null} onChoose={goOn} />
              <Button type="link" onClick={() => goOn(null)}>
                {say("begin-zero-later")}
              </Button>
            </>
          ) : (
            <Button
              type="primary"
              size="large"
              loading={begin.isPending}
              onClick={() => goOn(null)}
            >
              {say("begin-go-on")}
            </Button>
          )}
        </div>
      </section>
    </div>
  );
}

interface ToolsProps {
  legend: string;
  choices: Choice[];
  picked: Choice;
  setPicked: (choice: Choice) => void;
}

/** Tools to pick from; arrow keys go from one to the next. */
function Tools({ legend, choices, picked, setPicked }: ToolsProps) {
  if (choices.length === 0) return null;
  return (
    <fieldset className="begin-tools">
      <legend>{legend}</legend>
      {choices.map((choice) => (
        <label key={choice.id}>
          <input
            type="radio"
            name="tool"
            checked={choice.id === picked.id}
            onChange={() => setPicked(choice)}
          />
          <span>
            {choice.title} <small>{choice.instrument.least_count_text}</small>
          </span>
        </label>
      ))}
    </fieldset>
  );
}

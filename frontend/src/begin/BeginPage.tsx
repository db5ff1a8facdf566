import { Button, Input, InputNumber, Skeleton } from "antd";
import { useRef, useState, type KeyboardEvent } from "react";
import { useNavigate } from "react-router";

import {
  useMeasurands,
  useShelf,
  useTools,
  type Instrument,
  type Measurand,
  type ZeroStands,
} from "../api";
import { ClosedScales } from "../instruments/ClosedScales";
import { calledLike, type Draft } from "../instruments/draft";
import { say } from "../voice";
import { SideChoices } from "../zero/SideChoices";
import "../zero/zero.css";
import "./begin.css";
import { settled, toggled, withTool, type Chosen } from "./choices";
import { Sketch } from "./Sketch";
import { useBegin, type MeasuredOfIt } from "./useBegin";
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
  // What every name is met with is there before the first key.
  const { data: measurands } = useMeasurands(say("begin-unnamed"));
  if (!tools || !shelf || !measurands) return <Skeleton active title={false} className="page" />;
  const own = tools.map((tool) => ({ ...tool, title: tool.name, instrument: tool }));
  const patterns = shelf.map((one) => ({ ...one, name: calledLike(one.record) }));
  return <Begin own={own} patterns={patterns} />;
}

function Begin({ own, patterns }: { own: Choice[]; patterns: Choice[] }) {
  const navigate = useNavigate();
  const showError = useShowError();
  const begin = useBegin();
  const [name, setName] = useState("");
  const tools = [...own, ...patterns];
  const [first] = tools;
  const [chosen, setChosen] = useState<Chosen<Choice> | null>(
    first ? { tool: first, of: null } : null,
  );
  const thing = name.trim() || say("begin-unnamed");
  const { data: measurands = [] } = useMeasurands(thing);
  const [items, setItems] = useState(10);
  const zero = useRef<HTMLDivElement>(null);
  if (!chosen) return null;
  const now = settled(chosen, measurands, tools);
  const picked = now.tool;
  const setPicked = (tool: Choice) => setChosen(withTool(now, tool));
  const { instrument } = picked;
  const closes = instrument.traits.closes;
  const goOn = (stands: ZeroStands | null) =>
    begin.mutate(
      {
        ...{ thing, tool: picked, stands },
        of: now.of.map((one) => measuredOf(one, thing, now.of.length === 1, items)),
        difference: say("begin-difference", { thing }),
      },
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
        <OfIt
          all={measurands}
          chosen={now.of}
          items={items}
          onToggle={(one) => setChosen(toggled(now, one, tools))}
          onItems={setItems}
        />
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

/** What a quantity of a thing is called: like the thing, where there is but one. */
function measuredOf(one: Measurand, thing: string, alone: boolean, items: number): MeasuredOfIt {
  const name = alone ? thing : one.name;
  return {
    measurand: one,
    names:
      one.count === 1 ? [name] : Array.from({ length: one.count }, (_, at) => `${name} ${at + 1}`),
    items: one.stacked ? items : 1,
  };
}

const ARROWS: Record<string, number> = {
  ArrowRight: 1,
  ArrowDown: 1,
  ArrowLeft: -1,
  ArrowUp: -1,
};

/** Goes from one box to the next of a group that the Tab key enters once. */
function byArrows(event: KeyboardEvent<HTMLFieldSetElement>) {
  const step = ARROWS[event.key];
  const boxes = [...event.currentTarget.querySelectorAll<HTMLInputElement>("[type=checkbox]")];
  const at = boxes.findIndex((box) => box === event.target);
  if (step === undefined || at < 0) return;
  event.preventDefault();
  boxes[(at + step + boxes.length) % boxes.length]?.focus();
}

interface OfItProps {
  all: Measurand[];
  chosen: Measurand[];
  items: number;
  onToggle: (one: Measurand) => void;
  onItems: (items: number) => void;
}

/** What can be measured of a thing, as pictures; the arrow keys go from one to the next. */
function OfIt({ all, chosen, items, onToggle, onItems }: OfItProps) {
  const stacked = chosen.some((one) => one.stacked);
  const entry = chosen[0] ?? all[0];
  return (
    <fieldset className="begin-of-it" onKeyDown={byArrows}>
      <legend>{say("begin-of-it")}</legend>
      {all.map((one) => (
        <label key={one.id}>
          <input
            type="checkbox"
            tabIndex={one.id === entry?.id ? 0 : -1}
            checked={chosen.some(({ id }) => id === one.id)}
            onChange={() => onToggle(one)}
          />
          <span>
            <Sketch of={one.id} />
            {one.label}
            {one.stacked && ` ${stacked ? items : "n"}`}
          </span>
        </label>
      ))}
      {stacked && (
        <label className="begin-items">
          {say("begin-how-many")}
          <InputNumber
            controls={false}
            min={2}
            max={100000}
            precision={0}
            value={items}
            onChange={(value) => onItems(value ?? 2)}
          />
        </label>
      )}
    </fieldset>
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

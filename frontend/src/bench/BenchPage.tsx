import { Button, Skeleton } from "antd";
import { useState } from "react";
import { useNavigate } from "react-router";

import type { Schemas } from "../api";
import { say } from "../voice";
import "./bench.css";
import { useBeginBench, useDrawer } from "./queries";
import { useShowError } from "../common/useShowError";

const SEEDS = 1_000_000;
const newSeed = () => crypto.getRandomValues(new Uint32Array(1)).map((one) => one % SEEDS)[0] ?? 0;

/** Tools to take and a drawer of parts, for those who have none at hand. */
export default function BenchPage() {
  const { data: drawer } = useDrawer();
  const [tool, setTool] = useState("screw");
  const [part, setPart] = useState("standoff");
  const begin = useBeginBench();
  const navigate = useNavigate();
  const showError = useShowError();
  if (!drawer) return <Skeleton active title={false} className="page" />;
  const fitting = fits(drawer, tool);
  const goOn = () => {
    const chosen = { seed: newSeed(), tool, part } as Schemas["Begin"];
    begin.mutate(chosen, {
      onSuccess: ({ id, quantities }) =>
        void navigate(`/sheets/${id}/quantities/${quantities[0]?.id ?? ""}`),
      onError: showError,
    });
  };
  return (
    <div className="page bench-page">
      <h1>{say("bench-bench")}</h1>
      <p className="quiet">{say("bench-why")}</p>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          goOn();
        }}
      >
        <Lying
          legend={say("bench-take")}
          things={drawer.tools}
          chosen={tool}
          onChoose={(key) => {
            setTool(key);
            setPart((old) =>
              fits(drawer, key).includes(old) ? old : (fits(drawer, key)[0] ?? old),
            );
          }}
        />
        <Lying
          legend={say("bench-with-part")}
          things={drawer.parts.filter(({ key }) => fitting.includes(key))}
          chosen={part}
          onChoose={setPart}
        />
        <Button type="primary" size="large" htmlType="submit" loading={begin.isPending}>
          {say("bench-measure-it")}
        </Button>
      </form>
    </div>
  );
}

const fits = (drawer: Schemas["Drawer"], tool: string) =>
  drawer.fitting[drawer.tools.findIndex(({ key }) => key === tool)] ?? [];

interface LyingProps {
  legend: string;
  things: Schemas["Lying"][];
  chosen: string;
  onChoose: (key: string) => void;
}

/** Things that lie there, one of them to be taken. */
function Lying({ legend, things, chosen, onChoose }: LyingProps) {
  return (
    <fieldset className="lying">
      <legend>{legend}</legend>
      {things.map(({ key, name, about }) => (
        <label key={key}>
          <input
            type="radio"
            name={legend}
            checked={key === chosen}
            onChange={() => onChoose(key)}
          />
          <span>
            <b>{name}</b> {about}
          </span>
        </label>
      ))}
    </fieldset>
  );
}

import { Alert, Input, Segmented, Select } from "antd";
import { useState } from "react";

import {
  useConventions,
  usePlanChart,
  usePlans,
  useSettingsQuery,
  type Plan,
  type Schemas,
} from "../api";
import "./planner.css";
import { PlanChart } from "../charts";
import { say } from "../voice";

type Wish = Required<Schemas["Wish"]>;

/** Which tool, how many readings, how large a stack for a wanted percentage. */
export default function PlannerPage() {
  const { data: settings } = useSettingsQuery();
  const { data: conventions = [] } = useConventions();
  const [given, setGiven] = useState({ size: "", percent: "1", scatter: "", unit: "mm" as const });
  const [picked, setPicked] = useState<string | null>(null);
  const convention = picked ?? settings?.convention ?? "half-division";
  const wish: Wish = { ...given, convention };
  const whole = given.size.trim() !== "" && given.percent.trim() !== "";
  const { data: plans, error } = usePlans(wish, whole);
  const { data: chart } = usePlanChart(wish, whole);
  const set = (some: Partial<typeof given>) => setGiven({ ...given, ...some });
  return (
    <div className="page planner">
      <h1>{say("planner-planner")}</h1>
      <p className="quiet">{say("planner-what-the-uncertainty-will-be-in")}</p>
      <div className="card planner-wish">
        <p>
          {say("planner-wish-thing")}{" "}
          <Input
            aria-label={say("planner-size")}
            autoFocus
            inputMode="decimal"
            value={given.size}
            onChange={(event) => set({ size: event.target.value })}
          />
          <Segmented
            aria-label={say("planner-unit")}
            value={given.unit}
            options={["mm", "cm", "in"]}
            onChange={(unit) => set({ unit: unit as typeof given.unit })}
          />{" "}
          {say("planner-wish-to")}{" "}
          <Input
            aria-label={say("planner-percent")}
            inputMode="decimal"
            value={given.percent}
            onChange={(event) => set({ percent: event.target.value })}
          />{" "}
          {say("planner-wish-scatter")}{" "}
          <Input
            aria-label={say("planner-expected-scatter")}
            inputMode="decimal"
            placeholder={say("planner-nothing")}
            value={given.scatter}
            onChange={(event) => set({ scatter: event.target.value })}
          />{" "}
          {given.unit} {say("planner-wish-end")}
        </p>
        <Select
          aria-label={say("planner-convention")}
          value={convention}
          onChange={setPicked}
          options={conventions.map(({ id, name }) => ({ value: id, label: name }))}
        />
      </div>
      {whole && error && <Alert type="error" showIcon title={error.message} />}
      {whole && !error && chart && <PlanChart chart={chart} />}
      {whole &&
        !error &&
        plans?.map((plan, place) => <PlanRow key={plan.tool} plan={plan} number={place + 1} />)}
      {!whole && <p className="quiet">{say("planner-invitation")}</p>}
    </div>
  );
}

const WORDS: Record<Plan["verdict"], (plan: Plan) => string> = {
  enough: () => say("planner-good-enough"),
  "more readings": ({ readings }) => say("planner-with-readings", { count: readings }),
  "a stack": ({ items }) => say("planner-stack", { count: items }),
  "not enough": () => say("planner-coarse"),
  "does not fit": () => say("planner-unfit"),
};

function PlanRow({ plan, number }: { plan: Plan; number: number }) {
  return (
    <article className="card plan" data-verdict={plan.verdict}>
      <h2>
        <span className="plan-number">{number}</span> {plan.name}
      </h2>
      <span className="quiet">
        {plan.own && `${say("planner-own")} · `}
        {say("sheet-least-count", { least_count_text: plan.least_count_text })}
      </span>
      <b>{WORDS[plan.verdict](plan)}</b>
      <ul>
        {plan.reasons.map((reason) => (
          <li key={reason}>{reason}</li>
        ))}
      </ul>
    </article>
  );
}

import { Alert, Input, Segmented, Select } from "antd";
import { useState } from "react";

import { useConventions, usePlans, useSettingsQuery, type Plan, type Schemas } from "../api";
import { useShow } from "../app/settings";
import "./planner.css";

type Wish = Required<Schemas["Wish"]>;

/** Which tool, how many readings, how large a stack for a wanted percentage. */
export function PlannerPage() {
  const show = useShow();
  const { data: settings } = useSettingsQuery();
  const { data: conventions = [] } = useConventions();
  const [given, setGiven] = useState({ size: "", percent: "1", scatter: "", unit: "mm" as const });
  const [picked, setPicked] = useState<string | null>(null);
  const convention = picked ?? settings?.convention ?? "half-division";
  const wish: Wish = { ...given, convention };
  const whole = given.size.trim() !== "" && given.percent.trim() !== "";
  const { data: plans, error } = usePlans(wish, whole);
  const set = (some: Partial<typeof given>) => setGiven({ ...given, ...some });
  return (
    <div className="page planner">
      <h1>Planner</h1>
      <p className="quiet">
        What the uncertainty will be in per cent decides which tool to take. It is reckoned by the
        same rules as your results.
      </p>
      <div className="card planner-wish">
        <p>
          Something of about{" "}
          <Input
            aria-label="about how large"
            autoFocus
            inputMode="decimal"
            value={given.size}
            onChange={(event) => set({ size: event.target.value })}
          />
          <Segmented
            aria-label="unit"
            value={given.unit}
            options={["mm", "cm", "in"]}
            onChange={(unit) => set({ unit: unit as typeof given.unit })}
          />{" "}
          is wanted to{" "}
          <Input
            aria-label="wanted per cent"
            inputMode="decimal"
            value={given.percent}
            onChange={(event) => set({ percent: event.target.value })}
          />{" "}
          %. Readings of it differ by about{" "}
          <Input
            aria-label="expected scatter"
            inputMode="decimal"
            placeholder="0"
            value={given.scatter}
            onChange={(event) => set({ scatter: event.target.value })}
          />{" "}
          {given.unit} from their mean.
        </p>
        <Select
          aria-label="Convention"
          value={convention}
          onChange={setPicked}
          options={conventions.map(({ id, name }) => ({ value: id, label: name }))}
        />
      </div>
      {whole && error && <Alert type="error" showIcon title={show(error.message)} />}
      {whole && !error && plans?.map((plan) => <PlanRow key={plan.tool} plan={plan} />)}
      {!whole && <p className="quiet">Say how large the thing is, and the tools answer.</p>}
    </div>
  );
}

const WORDS: Record<Plan["verdict"], (plan: Plan) => string> = {
  enough: () => "good enough",
  "more readings": ({ readings }) => `with ${readings} readings`,
  "a stack": ({ items }) => `as a stack of ${items}`,
  "not enough": () => "not good enough",
  "does not fit": () => "does not fit",
};

function PlanRow({ plan }: { plan: Plan }) {
  const show = useShow();
  return (
    <article className="card plan" data-verdict={plan.verdict}>
      <h2>{plan.name}</h2>
      <span className="quiet">least count {show(plan.least_count_text)}</span>
      <b>{WORDS[plan.verdict](plan)}</b>
      <ul>
        {plan.reasons.map((reason) => (
          <li key={reason}>{show(reason)}</li>
        ))}
      </ul>
    </article>
  );
}

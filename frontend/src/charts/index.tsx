import { lazy, Suspense } from "react";

import type { Schemas } from "../api";
import "./charts.css";
import { say } from "../voice";

/** The library that draws charts comes with the first one. */
const DrawnBands = lazy(() => import("./DrawnBands"));
const DrawnPlan = lazy(() => import("./DrawnPlan"));

/** Results as bands on one axis; nothing without any. */
export function Bands({ of }: { of: Schemas["Bands"] | null }) {
  if (!of) return null;
  const [one, other] = of.bands.map(({ label, sentence }) => `${label}: ${sentence}`);
  return (
    <figure className="chart-bands" role="img" aria-label={`${one ?? ""}; ${other ?? ""}`}>
      <Suspense>
        <DrawnBands bands={of} />
      </Suspense>
    </figure>
  );
}

/** Per cent against size for each tool; what is wanted as lines. */
export function PlanChart({ chart }: { chart: Schemas["PlanChart"] }) {
  return (
    <figure className="card chart-plan" role="img" aria-label={say("charts-plan")}>
      <Suspense>
        <DrawnPlan chart={chart} />
      </Suspense>
    </figure>
  );
}

import {
  CartesianGrid,
  Label,
  ReferenceLine,
  ResponsiveContainer,
  Scatter,
  ScatterChart,
  XAxis,
  YAxis,
} from "recharts";

import type { Schemas } from "../api";
import { say } from "../voice";

type Course = Schemas["Course"];
type Point = Schemas["Point"];
type Mark = Schemas["Mark"];

const written = (marks: Mark[]) => (at: number) => marks.find((mark) => mark.at === at)?.text ?? "";
const ends = (marks: Mark[]): [number, number] => [marks[0]?.at ?? 0.1, marks.at(-1)?.at ?? 10];

interface DotProps {
  cx?: number | undefined;
  cy?: number | undefined;
}

/** The number under which a tool stands in the list, on its line. */
const Badge = ({ cx = 0, cy = 0, number }: DotProps & { number: number }) => (
  <g className="chart-badge">
    <circle cx={cx} cy={cy} r={9} />
    <text x={cx} y={cy} dy="0.35em" textAnchor="middle">
      {number}
    </text>
  </g>
);

const Step = ({ cx = 0, cy = 0 }: DotProps) => (
  <circle className="chart-step" cx={cx} cy={cy} r={4} />
);
const NoDot = () => <g />;

/** Where on its line a tool's number stands: each a little further, so that none hides another. */
function badgeOf({ line: [from, to] }: Course, place: number, percents: [number, number]) {
  if (!from || !to) return [];
  // The line may leave the frame at its top: where it is seen, it begins at that per cent.
  const product = from.size * from.percent;
  const low = Math.max(from.size, product / percents[1]);
  const high = Math.min(to.size, product / percents[0]);
  const size = low * (high / low) ** (0.12 + 0.11 * (place % 7));
  return high > low ? [{ size, percent: product / size }] : [];
}

/** Per cent against size, both by decades. */
export default function DrawnPlan({ chart }: { chart: Schemas["PlanChart"] }) {
  const { sizes, percents, size, percent, unit, courses } = chart;
  const frame = ends(percents);
  return (
    <ResponsiveContainer width="100%" height="100%">
      <ScatterChart
        margin={{ top: 12, right: 18, bottom: 22, left: 12 }}
        accessibilityLayer={false}
      >
        <CartesianGrid />
        <XAxis
          type="number"
          dataKey="size"
          scale="log"
          domain={ends(sizes)}
          allowDataOverflow
          interval={0}
          ticks={sizes.map(({ at }) => at)}
          tickFormatter={written(sizes)}
        >
          <Label value={say("charts-size", { unit })} position="bottom" offset={2} />
        </XAxis>
        <YAxis
          type="number"
          dataKey="percent"
          scale="log"
          domain={frame}
          allowDataOverflow
          interval={0}
          ticks={percents.map(({ at }) => at)}
          tickFormatter={written(percents)}
          width={58}
        >
          <Label value={say("charts-per-cent")} angle={-90} position="insideLeft" />
        </YAxis>
        <ReferenceLine y={percent} className="chart-wanted">
          <Label value={say("charts-wanted")} position="insideBottomRight" />
        </ReferenceLine>
        <ReferenceLine x={size} className="chart-size">
          <Label value={say("charts-the-thing")} position="insideTopLeft" />
        </ReferenceLine>
        {courses.map(({ tool, line }) => (
          <Scatter
            key={tool}
            className="chart-line"
            data={line}
            line
            shape={NoDot}
            isAnimationActive={false}
          />
        ))}
        {courses.map(({ tool, path }) => (
          <Scatter
            key={tool}
            className="chart-path"
            data={path}
            line
            shape={Step}
            isAnimationActive={false}
          />
        ))}
        {courses.map((course, place) => (
          <Scatter<Point>
            key={course.tool}
            data={badgeOf(course, place, frame)}
            shape={(props: DotProps) => <Badge {...props} number={place + 1} />}
            isAnimationActive={false}
          />
        ))}
      </ScatterChart>
    </ResponsiveContainer>
  );
}

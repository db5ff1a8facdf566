import { Bar, BarChart, ResponsiveContainer, XAxis, YAxis } from "recharts";

import type { Schemas } from "../api";

type Band = Schemas["Band"];

/** Height of a band with its name, and of the rule under all of them. */
const ROW = 62;
const AXIS = 30;
/** A band so narrow that it would vanish is drawn so many pixels wide. */
const NARROWEST = 3;

interface ShapeProps {
  x: number;
  y: number;
  width: number;
  height: number;
  payload: Band;
}

/** A band with its value as a line through it, and its name over it. */
function Shape({ x, y, width, height, payload: band }: ShapeProps) {
  const share = band.high > band.low ? (band.at - band.low) / (band.high - band.low) : 0.5;
  const wide = Math.max(width, NARROWEST);
  const left = x - (wide - width) / 2;
  const middle = left + wide * share;
  return (
    <g>
      <rect className="chart-band" x={left} y={y} width={wide} height={height} />
      <line className="chart-value" x1={middle} x2={middle} y1={y - 3} y2={y + height + 3} />
    </g>
  );
}

/** Results as bands on one axis. */
export default function DrawnBands({ bands: { low, high, marks, bands } }: Props) {
  return (
    <>
      {bands.map(({ label, sentence }, row) => (
        <p key={row} className="chart-name" style={{ top: row * ROW }}>
          <b>{label}</b> {sentence}
        </p>
      ))}
      <ResponsiveContainer width="100%" height={bands.length * ROW + AXIS}>
        <BarChart
          layout="vertical"
          accessibilityLayer={false}
          data={bands}
          margin={{ top: 0, right: 6, bottom: 0, left: 6 }}
        >
          <XAxis
            type="number"
            domain={[low, high]}
            ticks={marks.map(({ at }) => at)}
            tickFormatter={(at: number) => marks.find((mark) => mark.at === at)?.text ?? ""}
            height={AXIS}
          />
          <YAxis type="category" dataKey="label" hide />
          <Bar
            dataKey={({ low: from, high: to }: Band) => [from, to]}
            shape={(props: unknown) => <Shape {...(props as ShapeProps)} />}
            isAnimationActive={false}
            barSize={14}
          />
        </BarChart>
      </ResponsiveContainer>
    </>
  );
}

interface Props {
  bands: Schemas["Bands"];
}

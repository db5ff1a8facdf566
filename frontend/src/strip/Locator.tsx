import type { Lines } from "../api";
import type { Frame } from "./geometry";

/** The whole beam, thin, with the stretch that the strip shows and where the fine zero stands. */
export function Locator(props: { lines: Lines; frame: Frame; position: number }) {
  const { lines, frame, position } = props;
  const low = lines.low ?? 0;
  const high = lines.high;
  if (high === null) return null;
  const share = (value: number) =>
    `${(Math.min(Math.max((value - low) / (high - low), 0), 1) * 100).toFixed(2)}%`;
  const end = frame.start + frame.width / frame.perUnit;
  const shown = { left: share(frame.start), right: `calc(100% - ${share(end)})` };
  return (
    <div className="locator" aria-hidden="true">
      <span className="locator-shown" style={shown} />
      <span className="locator-zero" style={{ left: share(position) }} />
    </div>
  );
}

import type { Schemas } from "../api";
import { say } from "../voice";

/** Everything that is wrong with a file, each thing with the place it is at. */
export function Faults({ faults, left }: { faults: Schemas["Fault"][]; left?: boolean }) {
  return (
    <>
      <p>{left ? say("transfer-it-is-left-what-is-wrong") : say("transfer-refused")}</p>
      <ul className="faults">
        {faults.map(({ pointer, message }) => (
          <li key={`${pointer} ${message}`}>
            <code>{pointer || say("transfer-whole-file")}</code> {message}
          </li>
        ))}
      </ul>
    </>
  );
}

import type { Schemas } from "../api";
import { say } from "../voice";

/** Everything that is wrong with a file, each thing with the place it is at. */
export function Faults({ faults }: { faults: Schemas["Fault"][] }) {
  return (
    <>
      <p>{say("transfer-nothing-was-stored-what-is-wrong")}</p>
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

import type { Schemas } from "../api";

/** Everything that is wrong with a file, each thing with the place it is at. */
export function Faults({ faults }: { faults: Schemas["Fault"][] }) {
  return (
    <>
      <p>Nothing was stored. What is wrong:</p>
      <ul className="faults">
        {faults.map(({ pointer, message }) => (
          <li key={`${pointer} ${message}`}>
            <code>{pointer || "whole file"}</code> {message}
          </li>
        ))}
      </ul>
    </>
  );
}

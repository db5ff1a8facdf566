import { App, Button } from "antd";
import { useState } from "react";

import type { Quantity, Schemas } from "../api";
import { Dialog } from "../common/overlays";
import { say } from "../voice";
import { useReveal } from "./queries";

/** The truth, once somebody wants to know it: how far off, and what each habit cost. */
export function Reveal({ sheet, quantity }: { sheet: string; quantity: Quantity }) {
  const [shown, setShown] = useState<Schemas["Revealed"] | null>(null);
  const reveal = useReveal(sheet, quantity.id);
  const { message } = App.useApp();
  const ask = () =>
    reveal.mutate(undefined, {
      onSuccess: setShown,
      onError: (problem) => void message.info(problem.message),
    });
  return (
    <>
      <Button type="text" disabled={quantity.readings.length === 0} onClick={ask}>
        {say("bench-reveal")}
      </Button>
      {shown && (
        <Dialog title={say("bench-truth")} width={640} onCancel={() => setShown(null)}>
          <Told {...shown} />
        </Dialog>
      )}
    </>
  );
}

function Told({ truth, result, sentence, held, costs }: Schemas["Revealed"]) {
  return (
    <div className="revealed" data-held={held}>
      <dl>
        <dt>{say("bench-truth-is")}</dt>
        <dd>{truth}</dd>
        <dt>{say("bench-you-found")}</dt>
        <dd>{result}</dd>
      </dl>
      <p>{sentence}</p>
      <table>
        <caption>{say("bench-what-cost")}</caption>
        <tbody>
          {costs.map(({ cause, words, size, share }) => (
            <tr key={cause}>
              <th scope="row">{words}</th>
              <td>{size}</td>
              <td>
                <i style={{ inlineSize: `${Math.min(Math.abs(share), 4) * 25}%` }} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

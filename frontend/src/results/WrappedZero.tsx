import { App, Button } from "antd";

import { useAmendQuantity, useAmendZeroCheck, useSheet, type Flag, type Quantity } from "../api";
import { say } from "../voice";

interface Props {
  sheet: string;
  quantity: Quantity;
  flag: Flag;
}

/** What can be done about a look at the zero that is a full mark or turn off. */
export function WrappedZero({ sheet, quantity, flag }: Props) {
  const { message } = App.useApp();
  const { data } = useSheet(sheet);
  const mend = useAmendZeroCheck(sheet);
  const settle = useAmendQuantity(sheet);
  const onError = (problem: Error) => void message.error(problem.message);
  const check = data?.zero_checks.find(({ id }) => id === flag.zero_check);
  if (!check) return null;
  const settled = quantity.flags.filter((one) => one.settled && one.observation === null);
  const stands = [...settled.map(({ code }) => code), flag.code];
  return (
    <div className="look">
      <p>{flag.message}</p>
      <div className="look-acts">
        <Button
          type="primary"
          loading={mend.isPending}
          onClick={() =>
            mend.mutate(
              {
                seen: check,
                ...flag.suggestion,
                why: say("results-counted-from-the-wrong-side-of"),
              },
              { onError },
            )
          }
        >
          {say("results-it-was", { suggested: flag.suggested })}
        </Button>
        <Button
          type="text"
          onClick={() => settle.mutate({ seen: quantity, looked_again: stands }, { onError })}
        >
          {say("results-it-stands")}
        </Button>
      </div>
    </div>
  );
}

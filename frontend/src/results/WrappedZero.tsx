import { App, Button } from "antd";

import { useAmendQuantity, useAmendZeroCheck, useSheet, type Flag, type Quantity } from "../api";
import { useShow } from "../app/settings";

interface Props {
  sheet: string;
  quantity: Quantity;
  flag: Flag;
}

/** What can be done about a look at the zero that is a full mark or turn off. */
export function WrappedZero({ sheet, quantity, flag }: Props) {
  const show = useShow();
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
      <p>{show(flag.message)}</p>
      <div className="look-acts">
        <Button
          type="primary"
          loading={mend.isPending}
          onClick={() =>
            mend.mutate(
              { seen: check, ...flag.suggestion, why: "counted from the wrong side of zero" },
              { onError },
            )
          }
        >
          It was {show(flag.suggested)}
        </Button>
        <Button
          type="text"
          onClick={() => settle.mutate({ seen: quantity, looked_again: stands }, { onError })}
        >
          It stands
        </Button>
      </div>
    </div>
  );
}

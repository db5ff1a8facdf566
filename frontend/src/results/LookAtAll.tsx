import {
  useAmendQuantity,
  useAmendZeroCheck,
  useSheet,
  type Flag,
  type Quantity,
  type Remedy,
} from "../api";
import { Remedies } from "../tally";
import { useShowError } from "../common/useShowError";

interface Props {
  sheet: string;
  quantity: Quantity;
  flag: Flag;
}

/** A second look at the whole measurement or its zero, and what can be done about it. */
export function LookAtAll({ sheet, quantity, flag }: Props) {
  const showError = useShowError();
  const { data } = useSheet(sheet);
  const zero = useAmendZeroCheck(sheet);
  const whole = useAmendQuantity(sheet);

  const check = data?.zero_checks.find(({ id }) => id === flag.zero_check);
  function amend({ target, fields, why }: Remedy) {
    const change = why ? { ...fields, why } : fields;
    if (target !== "zero-check")
      whole.mutate({ seen: quantity, ...change }, { onError: showError });
    else if (check) zero.mutate({ seen: check, ...change }, { onError: showError });
  }
  const { remedies } = flag;
  if (remedies.length === 0) return <p className={`result-note ${flag.level}`}>{flag.message}</p>;
  return (
    <div className="look">
      <p>{flag.message}</p>
      <Remedies {...{ remedies }} onAmend={amend} loading={zero.isPending || whole.isPending} />
    </div>
  );
}

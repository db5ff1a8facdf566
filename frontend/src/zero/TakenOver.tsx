import { Button } from "antd";

import { useAmendQuantity, type Instrument, type Quantity, type Sheet } from "../api";
import { say } from "../voice";
import { useShowError } from "../common/useShowError";

interface Props {
  sheet: Sheet;
  instrument: Instrument;
  quantity: Quantity;
  /** Which faces: those of the quantity, unless others were chosen. */
  face?: string;
  onTaken: () => void;
}

const OUTSIDE = "outside";

/** Other faces that ride on the slide of the outside jaws have their zero: that is offered first. */
export function TakenOver({ sheet, instrument, quantity, onTaken, ...props }: Props) {
  const showError = useShowError();
  const amend = useAmendQuantity(sheet.id);
  const face = props.face ?? quantity.face;
  const outside = sheet.zero_checks.filter(
    (check) => check.instrument === instrument.id && (check.face || OUTSIDE) === OUTSIDE,
  );
  if (!instrument.traits.slides || (face || OUTSIDE) === OUTSIDE) return null;
  if (outside.length === 0) {
    // A rod has a zero of its own to be looked at; inside jaws cannot close on each other.
    if (face !== "inside") return null;
    return <p className="zero-taken-over">{say("zero-look-outside-first")}</p>;
  }
  const take = () => {
    const zero = outside.map(({ id }) => id);
    amend.mutate(
      { seen: quantity, zero, zero_exact: null, zero_taken_over: true },
      { onSuccess: onTaken, onError: showError },
    );
  };
  return (
    <p className="zero-taken-over">
      {say("zero-both-faces-ride-on-one-slide")}
      <Button loading={amend.isPending} onClick={take}>
        {say("zero-share")}
      </Button>
    </p>
  );
}

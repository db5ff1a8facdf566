import { Button } from "antd";

import type { Offer } from "../api";
import { goOn } from "../common/hand";
import type { Desk } from "../entry/useDesk";

interface Props {
  desk: Desk;
  blank: "main" | "fine";
}

/** What could be meant by a figure that the scale does not have: one tap each. */
export function Offers({ desk, blank }: Props) {
  const { answer, entry } = desk;
  if (!answer || !desk.settled || entry.position !== null) return null;
  const take = (offer: Offer) => {
    desk.type({ [blank]: offer.text });
    goOn();
  };
  return answer[blank].offers.map((offer) => (
    <Button key={offer.words} className="offer" onClick={() => take(offer)}>
      {offer.words}
    </Button>
  ));
}

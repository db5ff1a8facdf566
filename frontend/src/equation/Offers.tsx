import { Button } from "antd";

import type { FineAs, Offer } from "../api";
import { goOn } from "../app/hand";
import type { Desk } from "../desk/useDesk";

interface Props {
  desk: Desk;
  blank: "main" | "fine";
  onFineAs?: ((fineAs: FineAs) => void) | undefined;
}

/** What could be meant by a figure that the scale does not have, or that fits twice: one tap each. */
export function Offers({ desk, blank, onFineAs }: Props) {
  const { answer, entry } = desk;
  if (!answer || !desk.settled || entry.position !== null) return null;
  const take = (offer: Offer) => {
    // What is typed stays; what it stands for is kept with the tool, and asked no more.
    if (offer.fine_as && onFineAs) onFineAs(offer.fine_as);
    else desk.type({ [blank]: offer.text });
    goOn();
  };
  return answer[blank].offers.map((offer) => (
    <Button key={offer.words} className="offer" onClick={() => take(offer)}>
      {offer.words}
    </Button>
  ));
}

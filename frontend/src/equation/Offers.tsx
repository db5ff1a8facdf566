import { Button } from "antd";

import type { FineAs, Offer } from "../api";
import type { Desk } from "../desk/useDesk";

interface Props {
  desk: Desk;
  onFineAs?: ((fineAs: FineAs) => void) | undefined;
}

/** What could be meant by a figure that the scale does not have, or that fits twice: one tap each. */
export function Offers({ desk, onFineAs }: Props) {
  const { answer, entry } = desk;
  if (!answer || !desk.settled || entry.position !== null) return null;
  const take = (blank: "main" | "fine", offer: Offer) => {
    // What is typed stays; what it stands for is kept with the tool, and asked no more.
    if (offer.fine_as && onFineAs) onFineAs(offer.fine_as);
    else desk.type({ [blank]: offer.text });
  };
  const offers = (["main", "fine"] as const).flatMap((blank) =>
    answer[blank].offers.map((offer) => ({ blank, offer })),
  );
  if (offers.length === 0) return null;
  return (
    <div className="offers">
      {offers.map(({ blank, offer }) => (
        <Button key={`${blank} ${offer.words}`} onClick={() => take(blank, offer)}>
          {offer.words}
        </Button>
      ))}
    </div>
  );
}

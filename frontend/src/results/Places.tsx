import { App, Button } from "antd";

import { useAmendQuantity, type Quantity } from "../api";
import { useShow } from "../app/settings";

interface Props {
  sheet: string;
  quantity: Quantity;
}

/** The result of each place, for a thing that has no one size. */
export function Places({ sheet, quantity }: Props) {
  const show = useShow();
  return (
    <div className="result-places">
      <dl>
        {quantity.places.map(({ place, count, sentence }) => (
          <div key={place}>
            <dt>
              {place || "no place noted"}, {count} {count === 1 ? "reading" : "readings"}
            </dt>
            <dd>
              <span className="mark-result">{show(sentence ?? "…")}</span>
            </dd>
          </div>
        ))}
      </dl>
      <ReportApart {...{ sheet, quantity }} apart={false} />
    </div>
  );
}

/** Chooses whether the places are reported apart; either can be taken back. */
export function ReportApart({ sheet, quantity, apart }: Props & { apart: boolean }) {
  const { message } = App.useApp();
  const amend = useAmendQuantity(sheet);
  return (
    <Button
      size="small"
      loading={amend.isPending}
      onClick={() =>
        amend.mutate(
          { seen: quantity, places_apart: apart ? true : null },
          { onError: (problem) => void message.error(problem.message) },
        )
      }
    >
      {apart ? "Report the places apart" : "Report them together"}
    </Button>
  );
}

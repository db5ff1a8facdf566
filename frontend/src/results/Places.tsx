import { App, Button } from "antd";

import { useAmendQuantity, type Quantity } from "../api";
import { say } from "../voice";

interface Props {
  sheet: string;
  quantity: Quantity;
}

/** The result of each place, for a thing that has no one size. */
export function Places({ sheet, quantity }: Props) {
  return (
    <div className="result-places">
      <dl>
        {quantity.places.map(({ place, count, sentence }) => (
          <div key={place}>
            <dt>
              {place || say("results-no-place-noted")}, {say("counted-readings", { count })}
            </dt>
            <dd>
              <span className="mark-result">{sentence ?? "…"}</span>
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
      {apart ? say("results-report-the-places-apart") : say("results-report-them-together")}
    </Button>
  );
}

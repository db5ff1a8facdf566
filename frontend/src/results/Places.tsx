import { Button } from "antd";

import { useAmendQuantity, type Quantity } from "../api";
import { say } from "../voice";
import { useShowError } from "../common/useShowError";

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
              {place || say("results-place-none")}, {say("counted-readings", { count })}
            </dt>
            <dd>
              <span className="mark-result">{sentence ?? "…"}</span>
            </dd>
          </div>
        ))}
      </dl>
      <ReportTogether {...{ sheet, quantity }} />
    </div>
  );
}

/** Takes it back that the places are reported apart. */
function ReportTogether({ sheet, quantity }: Props) {
  const showError = useShowError();
  const amend = useAmendQuantity(sheet);
  return (
    <Button
      size="small"
      loading={amend.isPending}
      onClick={() => amend.mutate({ seen: quantity, places_apart: null }, { onError: showError })}
    >
      {say("places-report-together")}
    </Button>
  );
}

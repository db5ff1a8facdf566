import { Button } from "antd";
import { useState, type ReactNode } from "react";

import { useAmendQuantity, type Quantity } from "../api";
import "./results.css";
import { OtherUnits } from "./OtherUnits";
import { BudgetBars } from "./Budget";
import { Compare, ComparedWords } from "./Compare";
import { Others } from "./Others";
import { Places } from "./Places";
import { LookAtAll } from "./LookAtAll";
import { useComparable } from "./useComparable";
import { QuantityWorking } from "./WholeWorking";
import { Working } from "./Working";
import { say } from "../voice";
import { useShowError } from "../common/useShowError";

/** Lines that the bars and the sentence say already. */
const SAID = /^(component_|rounded|limit|average|degrees_of_freedom|coverage_factor)/;

interface Props {
  sheet: string;
  quantity: Quantity;
  /** Shows a reading, counted from 0, on the scales. */
  onLook?: (index: number) => void;
  /** A way to the next of several alike. */
  another?: ReactNode;
  /** The convention, where it can be seen and changed and is not said above. */
  convention?: ReactNode;
}

/** The sentence, how it came about in short, and the whole working on request. */
export function ResultPanel({ sheet, quantity, onLook, another, convention }: Props) {
  const showError = useShowError();
  const amend = useAmendQuantity(sheet);
  const [followed, setFollowed] = useState<string | null>(null);
  const { result } = quantity;
  const others = useComparable(sheet, quantity);
  const apart = quantity.places_apart && quantity.places.length > 0;
  const looks = quantity.flags.filter((flag) => flag.level === "warning" && !flag.settled);
  const about = looks.filter((flag) => flag.observation !== null);
  const general = quantity.flags.filter((flag) => flag.observation === null && !flag.settled);
  // What makes every reading wrong is asked where the eye is.
  const zeros = general.filter((flag) => flag.zero_check);
  const short = quantity.working.filter(({ key }) => !SAID.test(key));
  return (
    <section className="result-panel" aria-label={say("desk-result")}>
      <div className="result-body">
        <p className="result-head">
          {result.count === 0
            ? say("results-none")
            : say("results-result-of-readings", { count: result.count }) +
              (looks.length > 0 ? `, ${say("results-looks-open", { count: looks.length })}` : "")}
        </p>
        {apart && <Places sheet={sheet} quantity={quantity} />}
        <p className={apart ? "result-together" : "result-sentence"} data-testid="sentence">
          {apart && `${say("results-all-together")} `}
          {result.sentence ? (
            <span className="mark-result">
              {quantity.symbol && `${quantity.symbol} = `}
              {result.sentence}
            </span>
          ) : (
            "…"
          )}
        </p>
        {zeros.map((flag) => (
          <LookAtAll key={flag.zero_check} {...{ sheet, quantity, flag }} />
        ))}
        {result.sentence && <Working steps={short} onFollow={setFollowed} />}
        {result.sentence && (
          <OtherUnits
            also={quantity.also}
            onChange={(units) => amend.mutateAsync({ seen: quantity, also_in: units })}
          />
        )}
        <BudgetBars budget={quantity.budget} />
        <ComparedWords compared={quantity.compared} />
        {about.map(
          (flag) =>
            flag.without && (
              <p key={`${flag.code} ${flag.observation}`} className="result-without">
                {say("results-without-reading", {
                  at: (flag.observation ?? 0) + 1,
                  without: flag.without,
                })}
              </p>
            ),
        )}
        {general
          .filter((flag) => !flag.zero_check)
          .map((flag) => (
            <LookAtAll key={flag.code} {...{ sheet, quantity, flag }} />
          ))}
        {quantity.hints.map((hint) => (
          <p key={hint.code} className="result-note warning">
            {hint.message}
          </p>
        ))}
        {quantity.advice && <p className="result-note">{quantity.advice}</p>}
        {result.relative_percent !== null && (
          <p className="result-note">
            {say("results-relative", {
              relative_percent: result.relative_percent,
            })}
          </p>
        )}
      </div>
      <div className="result-acts">
        {convention}
        <Button type="link" onClick={() => setFollowed("")}>
          {say("derived-whole-working")}
        </Button>
        <Others sheet={sheet} quantity={quantity} />
        <Compare
          others={others}
          compared={quantity.compared}
          unit={quantity.unit}
          onCompare={(compare) => amend.mutate({ seen: quantity, compare }, { onError: showError })}
        />
        {another}
      </div>
      {followed !== null && (
        <QuantityWorking
          title={quantity.name}
          quantity={quantity.id}
          at={followed}
          sheet={sheet}
          onLook={
            onLook &&
            ((index) => {
              setFollowed(null);
              onLook(index);
            })
          }
          onClose={() => setFollowed(null)}
        />
      )}
    </section>
  );
}

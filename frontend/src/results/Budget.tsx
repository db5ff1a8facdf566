import type { Budget } from "../api";
import { say } from "../voice";

/** The parts of an uncertainty as bars; one that lost to a larger one is hollow. */
export function BudgetBars({ budget }: { budget: Budget }) {
  if (budget.shares.length === 0) return null;
  return (
    <section className="budget" aria-label={say("results-budget")}>
      <ul>
        {budget.shares.map(({ label, size, percent, percent_words: words, lost }) => (
          <li key={label} data-lost={lost}>
            <span>{label}</span>
            <span className="budget-track">
              <span style={{ width: lost ? "100%" : `${percent.toFixed(2)}%` }} />
            </span>
            <span className="budget-figure">{words}</span>
            <span className="budget-figure quiet">{size}</span>
          </li>
        ))}
      </ul>
      {budget.sentences.map((sentence) => (
        <p key={sentence}>{sentence}</p>
      ))}
    </section>
  );
}

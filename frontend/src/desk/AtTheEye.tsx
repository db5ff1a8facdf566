import { SecondLook, type LookActions } from "../tally";
import type { Question } from "../tally/reopened";

interface Props {
  question: Question;
  actions: LookActions;
  /** What was to be done at once is done: the next figure is typed. */
  onDone: () => void;
}

/** What is odd about a reading, asked at the equation while nothing is entered. */
export function AtTheEye({ question, actions, onDone }: Props) {
  const then =
    <Given extends unknown[]>(act: (...given: Given) => void) =>
    (...given: Given) => {
      act(...given);
      onDone();
    };
  const done = { amend: then(actions.amend), setAside: then(actions.setAside) };
  return <SecondLook {...question} actions={{ ...actions, ...done }} />;
}

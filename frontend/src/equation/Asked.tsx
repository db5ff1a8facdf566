import type { Ref } from "react";

import type { Answer, Instrument } from "../api";
import { goOn } from "../common/hand";
import type { Desk } from "../entry/useDesk";
import { frameAt } from "../strip/geometry";
import { HEIGHTS } from "../strip/heights";
import { Scales } from "../strip/Scales";
import "../strip/strip.css";
import "./asked.css";
import { say } from "../voice";

const WIDTH = 400;

type Reading = Answer["asked"][number];

interface Props {
  desk: Desk;
  instrument: Instrument;
  ref?: Ref<HTMLDivElement>;
}

/** What the figures can be, where they can be several: both drawn, one tap says which it is. */
export function Asked({ desk, instrument, ref }: Props) {
  const { answer } = desk;
  if (!answer || !desk.settled || answer.asked.length === 0) return null;
  const take = ({ meant, second_turn: secondTurn, ...reading }: Reading) => {
    // What the figures stand for is kept with the tool.
    const { fine_as: fineAs, main_as: mainAs, numerals } = reading;
    const kept = { ...(fineAs && { fineAs }), ...(mainAs && { mainAs }) };
    const turn = instrument.lines.two_turns ? { secondTurn } : {};
    // Figures of another unit stand in that of the page, until the tool is kept with the answer.
    const figures = (mainAs ?? numerals) ? { main: reading.main, fine: reading.fine } : {};
    desk.type({ meant, ...figures, ...kept, ...(numerals && { numerals }), ...turn });
    goOn();
  };
  const keeps = answer.asked.some((one) => one.fine_as ?? one.main_as ?? one.numerals);
  const question = answer.asked.length === 1 ? "equation-question-one" : "equation-question";
  return (
    <div ref={ref} className="asked" role="group" aria-label={say(question)}>
      <p>
        <b>{say(question)}</b> {keeps && say("equation-asked-once")}
      </p>
      {answer.asked.map((reading) => (
        <button
          key={reading.meant}
          type="button"
          className="offer"
          title={reading.says}
          onClick={() => take(reading)}
        >
          <Drawn instrument={instrument} reading={reading} />
          <span>{reading.words}</span>
          <b>{`${reading.read} ${instrument.unit_text}`}</b>
        </button>
      ))}
    </div>
  );
}

/** The scales as they stand for one of them, with its line. */
function Drawn({ instrument, reading }: { instrument: Instrument; reading: Reading }) {
  const { lines } = instrument;
  const [top, height] = HEIGHTS[instrument.traits.drawing].asked;
  const numbered = { main_step: reading.main_step, main_unit: reading.numerals ?? lines.main_unit };
  const tool = { ...instrument, lines: { ...lines, ...numbered } };
  return (
    <svg className="strip-drawing" viewBox={`0 ${top} ${WIDTH} ${height}`} aria-hidden>
      <Scales
        {...{ instrument: tool, position: reading.position, answer: null }}
        frame={frameAt(lines, reading.position, WIDTH)}
        meeting={[reading.line]}
        narrow
        zeroError={0}
        beside={false}
      />
    </svg>
  );
}

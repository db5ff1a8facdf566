import { Button } from "antd";
import { useEffect, useRef } from "react";

import type { Flag, Instrument, Quantity, Reading } from "../api";
import type { Reopened } from "./reopened";
import type { Waiting } from "../outbox/outbox";
import { discard } from "../outbox/useOutbox";
import { KeptMark } from "../photo";
import { axisOf, axisText, shareOf, type Axis } from "./axis";
import { Looks } from "./Looks";
import { PlannedRows } from "./PlannedRows";
import { NotedRow } from "./NotedRow";
import { RowActions } from "./RowActions";
import { SecondLook, type LookActions } from "./SecondLook";
import "./tally.css";
import { figure, say } from "../voice";

export interface TallyProps {
  sheet: string;
  quantity: Quantity;
  instrument: Instrument;
  /** The reading that is being looked at again or changed. */
  reopened: Reopened | null;
  /** What is asked at the equation: its row is marked. */
  asked: Flag | null;
  actions: LookActions;
  /** Whether figures are hidden, so that they do not steer the next reading. */
  blind: boolean;
  /** Readings that the server does not have yet. */
  waiting: Waiting[];
}

const COMPACT_BEYOND = 6;

/** Readings as rows and as dots on one axis, with what deserves a second look beside its row. */
export function Tally({ quantity, instrument, ...props }: TallyProps) {
  const { sheet, reopened, asked, actions, blind, waiting } = props;
  const axis = axisOf(quantity, instrument.lines.least_count);
  const body = useRef<HTMLDivElement>(null);
  const count = quantity.readings.length + waiting.length;
  const planned = (quantity.plan?.left.length ?? 0) > 0;
  useEffect(() => {
    const list = body.current;
    if (!list) return;
    // What is read next stays in sight, with the reading before it.
    const next = list.querySelector<HTMLElement>("tr[data-next=true]");
    const end = next ? next.offsetTop + next.offsetHeight : list.scrollHeight;
    list.scrollTo({ top: end - list.clientHeight });
  }, [count]);
  if (count === 0 && !planned) return <EmptyTally />;
  if (blind) return <BlindTally count={count} />;
  const unit = instrument.unit_text && `, ${quantity.unit}`;
  const single = quantity.sort === "single";
  const fine = instrument.traits.fine_scale;
  const screw = instrument.traits.turns;
  return (
    <div
      className="tally"
      ref={body}
      data-compact={count > COMPACT_BEYOND}
      data-sort={quantity.sort}
      tabIndex={0}
    >
      <table>
        <thead>
          <tr>
            <th className="figure">{say("tally-no")}</th>
            <th>{say("desk-place")}</th>
            {!single && (
              <th className="figure" colSpan={fine ? 2 : 1}>
                {say("tally-positions")}
              </th>
            )}
            {single && (
              <th className="figure">
                <span className="part-main mark-main">
                  {say(screw ? "equation-sleeve" : "tally-main")}
                </span>
              </th>
            )}
            {single && fine && (
              <th className="figure">
                <span className="part-fine mark-fine">
                  {say(screw ? "equation-thimble-line" : "tally-line")}
                </span>
              </th>
            )}
            {single && <th className="figure">{say("tally-reads", { unit })}</th>}
            <th className="figure">
              <span className="part-result mark-result">
                {say(single ? "desk-corrected" : "tally-between")}
                {unit}
              </span>
            </th>
            <th className="axis-head">
              <span>{axis && figure(axisText(axis.low, instrument))}</span>
              <span>{axis && figure(axisText(axis.high, instrument))}</span>
            </th>
            <th>
              <span className="heard">{say("tally-actions")}</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {quantity.readings.map((reading, index) => (
            <Row
              key={reading.id}
              {...{ sheet, reading, index, quantity, fine, axis, actions, asked }}
              reopened={reading.id === reopened?.reading.id ? reopened.to : null}
              flags={quantity.flags.filter(
                (flag) => flag.observation === index && flag.level === "warning" && !flag.settled,
              )}
            />
          ))}
          {waiting.map((entry) => (
            <WaitingRow key={entry.id} entry={entry} fine={fine} />
          ))}
          <PlannedRows plan={quantity.plan} waiting={waiting} />
        </tbody>
      </table>
    </div>
  );
}

function BlindTally({ count }: { count: number }) {
  return (
    <div className="tally-empty">
      <p>{say("tally-hidden", { count })}</p>
    </div>
  );
}

function EmptyTally() {
  return (
    <div className="tally-empty">
      <p>{say("tally-empty")}</p>
    </div>
  );
}

/** A reading as it was entered, until the server has it; one it refuses stays until discarded. */
function WaitingRow({ entry, fine }: { entry: Waiting; fine: boolean }) {
  return (
    <tr className="waiting">
      <td className="figure quiet">…</td>
      <td>{entry.fields.place}</td>
      <td className="figure part-main">
        {figure(entry.entered.map(({ main }) => main).join(" / "))}
      </td>
      {fine && (
        <td className="figure part-fine">
          {figure(entry.entered.map((look) => look.fine).join(" / "))}
        </td>
      )}
      <td colSpan={4} className="quiet">
        {entry.refused === "" ? (
          say("tally-waiting")
        ) : (
          <>
            {entry.refused}{" "}
            <Button type="link" onClick={() => discard(entry.id)}>
              {say("tally-discard")}
            </Button>
          </>
        )}
      </td>
    </tr>
  );
}

interface RowProps {
  sheet: string;
  reading: Reading;
  index: number;
  quantity: Quantity;
  /** Whether there is a fine scale. */
  fine: boolean;
  axis: Axis | null;
  flags: Flag[];
  reopened: Reopened["to"] | null;
  asked: Flag | null;
  actions: LookActions;
}

function Row({ sheet, reading, index, quantity, fine, axis, flags, ...props }: RowProps) {
  const { reopened, asked, actions } = props;
  if (reopened === "again") return <HiddenRow index={index} />;
  const earlier = reading.history.at(-1);
  const state = reading.excluded ? "excluded" : flags.length > 0 ? "flagged" : "";
  return (
    <>
      <tr className={`reading ${state}`} aria-current={reopened !== null}>
        <td className="figure quiet">{index + 1}</td>
        <td>{reading.place}</td>
        {reading.looks.length > 1 ? (
          <td className="figure" colSpan={fine ? 2 : 1}>
            {earlier && (earlier.main !== reading.main || earlier.line !== reading.line) && (
              <s>
                {earlier.main} · {earlier.line}
              </s>
            )}
            <Looks looks={reading.looks} />
          </td>
        ) : (
          <td className="figure part-main">
            {earlier && earlier.main !== reading.main && <s>{earlier.main} </s>}
            <span className="figures">{reading.main}</span>
          </td>
        )}
        {fine && reading.looks.length === 1 && (
          <td className="figure part-fine">
            {earlier && earlier.line !== reading.line && <s>{earlier.line} </s>}
            <span className="figures">{reading.line}</span>
          </td>
        )}
        {quantity.sort === "single" && (
          <td className="figure quiet">
            <span className="figures">{reading.read}</span>
          </td>
        )}
        <td className="figure part-result">
          <span className="figures">{reading.corrected}</span>
        </td>
        <td className="axis-cell">
          {axis && <Dot axis={axis} reading={reading} quantity={quantity} />}
        </td>
        <td className="row-actions">
          <KeptMark sheet={sheet} reading={reading} index={index} />
          <RowActions {...{ reading, index, actions, fine }} />
        </td>
      </tr>
      <NotedRow reading={reading} />
      {reading.excluded && (
        <tr className="reason">
          <td />
          <td colSpan={7}>{say("tally-set-aside-because", { excluded: reading.excluded })}</td>
        </tr>
      )}
      {flags.map((flag) => (
        <tr key={flag.code} className="second-look">
          <td colSpan={8}>
            <SecondLook {...{ flag, reading }} actions={flag === asked ? null : actions} />
          </td>
        </tr>
      ))}
    </>
  );
}

/** A reading that is looked at again: what was read before is not to steer it. */
function HiddenRow({ index }: { index: number }) {
  return (
    <tr className="reading" aria-current>
      <td className="figure quiet">{index + 1}</td>
      <td colSpan={7} className="quiet">
        {say("tally-looked-at-again")}
      </td>
    </tr>
  );
}

interface DotProps {
  axis: Axis;
  reading: Reading;
  quantity: Quantity;
}

function Dot({ axis, reading, quantity }: DotProps) {
  const { low, high, mean } = quantity.result;
  const at = (value: number) => `${(shareOf(axis, value).share * 100).toFixed(2)}%`;
  const { share, off } = shareOf(axis, reading.value);
  return (
    <div className="axis">
      {low !== null && high !== null && (
        <span className="band" style={{ left: at(low), right: `calc(100% - ${at(high)})` }} />
      )}
      {mean !== null && shareOf(axis, mean).off === "" && (
        <span className="mean-line" style={{ left: at(mean) }} />
      )}
      {off === "" ? (
        <span className="dot" style={{ left: `${(share * 100).toFixed(2)}%` }} />
      ) : (
        <span className={`off-axis ${off}`} title={say("tally-off-axis")}>
          {off === "high" ? `${reading.corrected} ›` : `‹ ${reading.corrected}`}
        </span>
      )}
    </div>
  );
}

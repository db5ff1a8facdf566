import { Button, Checkbox } from "antd";
import { memo, useEffect, useRef, useState } from "react";
import { useLocation, useNavigate } from "react-router";

import { useAmendQuantity, type Instrument, type Quantity, type Sheet, type ZeroOff } from "../api";
import { TakenOver } from "./TakenOver";
import { ZeroDialog } from "./ZeroDialog";
import { Bubble } from "../common/overlays";
import { say } from "../voice";

interface Props {
  sheet: Sheet;
  quantity: Quantity;
  instrument: Instrument;
  /** The zero was looked at: the hand goes back to the readings. */
  onLooked: () => void;
}

/** The zero of the equation: what it is, and a tap away from being looked at. */
export const ZeroTerm = memo(function ZeroTerm({ sheet, quantity, instrument, onLooked }: Props) {
  const [open, setOpen] = useState(false);
  const here = useLocation();
  const navigate = useNavigate();
  const seen = (here.state as { look?: ZeroOff | null } | null)?.look ?? null;
  const [looking, setLooking] = useState(seen !== null);
  const looked = useRef(false);
  useEffect(() => {
    if (looked.current && !looking) onLooked();
    looked.current = looking;
  }, [looking, onLooked]);
  const amend = useAmendQuantity(sheet.id);
  const checks = sheet.zero_checks.filter((check) => check.instrument === instrument.id);

  function use(zero: string[], exact: boolean) {
    amend.mutate({ seen: quantity, zero, zero_exact: exact ? true : null, zero_taken_over: null });
  }
  function taken() {
    setOpen(false);
    onLooked();
  }
  const menu = (
    <div className="zero-menu">
      <p>{quantity.zero_words}</p>
      {quantity.zero.length === 0 && (
        <TakenOver {...{ sheet, instrument, quantity }} onTaken={taken} />
      )}
      {checks.map((check) => {
        const used = quantity.zero.includes(check.id);
        return (
          <Checkbox
            key={check.id}
            checked={used}
            onChange={() =>
              use(
                used ? quantity.zero.filter((id) => id !== check.id) : [...quantity.zero, check.id],
                false,
              )
            }
          >
            {say(check.face ? "zero-looked-at-on-faces" : "zero-looked-at", {
              error: `${check.error_text} ${instrument.unit}`,
              phase: check.phase,
              face: check.face,
            })}
          </Checkbox>
        );
      })}
      <Button
        type="primary"
        onClick={() => {
          setOpen(false);
          setLooking(true);
        }}
      >
        {say("sheet-zero-look")}
      </Button>
      <Checkbox checked={quantity.zero_exact} onChange={(event) => use([], event.target.checked)}>
        {say("zero-exact")}
      </Checkbox>
    </div>
  );
  const state = quantity.zero_exact ? say("desk-exact") : say("zero-state-none");
  return (
    <>
      <Bubble content={menu} open={open} onOpenChange={setOpen}>
        <button
          type="button"
          className="term-tap"
          aria-label={say("zero-zero-error-tap-to-change")}
        >
          {quantity.zero.length > 0 ? `(${quantity.zero_text})` : <small>{state}</small>}
        </button>
      </Bubble>
      {looking && (
        <ZeroDialog
          sheet={sheet}
          instrument={instrument}
          quantity={quantity}
          off={seen}
          onClose={() => {
            setLooking(false);
            if (seen) void navigate(here.pathname, { replace: true, state: null });
          }}
        />
      )}
    </>
  );
});

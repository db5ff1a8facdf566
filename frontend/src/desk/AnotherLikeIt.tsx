import { Alert, Button, Input, Segmented } from "antd";
import { useState } from "react";
import { useNavigate } from "react-router";

import { newId, useAddQuantity, useWords, type Quantity, type Sheet } from "../api";
import { Dialog } from "../common/overlays";
import { say } from "../voice";

interface Props {
  sheet: Sheet;
  quantity: Quantity;
}

/** The next of several alike, another colour or order of lines: all but its name stays. */
export function AnotherLikeIt({ sheet, quantity }: Props) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button type="link" onClick={() => setOpen(true)}>
        {say("desk-quantity-alike")}
      </Button>
      {open && (
        <Dialog
          open
          title={say("desk-another-like", { name: quantity.name })}
          footer={null}
          onCancel={() => setOpen(false)}
        >
          <NameForm {...{ sheet, quantity }} />
        </Dialog>
      )}
    </>
  );
}

/** Its name; kept inside the dialog, so that nothing typed while it opens is lost. */
function NameForm({ sheet, quantity }: Props) {
  const navigate = useNavigate();
  const add = useAddQuantity(sheet.id);
  const { data: words } = useWords();
  const [name, setName] = useState("");
  const [on, setOn] = useState(quantity.face);
  const tool = sheet.instruments.find(({ id }) => id === quantity.instrument);
  const faces = words?.kinds.find(({ kind }) => kind === tool?.kind)?.faces ?? [];
  function keep() {
    const id = newId();
    const { instrument, items, convention, sort, divide_by, arc, thing } = quantity;
    // A zero belongs to its faces.
    const zero = on === quantity.face ? quantity.zero : [];
    add.mutate(
      {
        ...{ id, instrument, items, zero, convention },
        name: name.trim(),
        thing: thing || null,
        face: on || null,
        pairs: sort === "pair" ? true : null,
        windows: sort === "pair with two windows" ? true : null,
        divide_by: divide_by > 1 ? divide_by : null,
        arc: arc === "shorter" ? null : arc,
      },
      { onSuccess: () => void navigate(`/sheets/${sheet.id}/quantities/${id}`) },
    );
  }
  return (
    <form
      className="name-form"
      onSubmit={(event) => {
        event.preventDefault();
        keep();
      }}
    >
      <Input
        aria-label={say("sheet-quantity-name")}
        autoFocus
        maxLength={200}
        placeholder={
          quantity.unit === "arcmin"
            ? say("desk-blue-second-order")
            : say("desk-upper-spreader-outside")
        }
        value={name}
        onChange={(event) => setName(event.target.value)}
      />
      {faces.length > 1 && (
        <Segmented
          aria-label={say("sheet-taken-with")}
          value={on || "outside"}
          options={faces.map((face) => ({ value: face.id, label: face.name }))}
          onChange={setOn}
        />
      )}
      {add.error && <Alert type="error" showIcon title={add.error.message} />}
      <div className="page-acts">
        <Button
          type="primary"
          htmlType="submit"
          loading={add.isPending}
          disabled={name.trim() === ""}
        >
          {say("sheet-measure-it")}
        </Button>
      </div>
    </form>
  );
}

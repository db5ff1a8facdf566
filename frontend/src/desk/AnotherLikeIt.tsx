import { Alert, Button, Input } from "antd";
import { useState } from "react";
import { useNavigate } from "react-router";

import { newId, useAddQuantity, type Quantity, type Sheet } from "../api";
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
  const [name, setName] = useState("");
  function keep() {
    const id = newId();
    const { instrument, face, items, zero, convention, sort, divide_by, arc } = quantity;
    add.mutate(
      {
        ...{ id, instrument, items, zero, convention },
        name: name.trim(),
        face: face || null,
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

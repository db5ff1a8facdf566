import { App, Button, Input, Modal } from "antd";
import { useState } from "react";
import { useNavigate } from "react-router";

import { newId, useAddQuantity, type Quantity, type Sheet } from "../api";

interface Props {
  sheet: Sheet;
  quantity: Quantity;
}

/** The next of several alike, another colour or order of lines: all but its name stays. */
export function AnotherLikeIt({ sheet, quantity }: Props) {
  const { message } = App.useApp();
  const navigate = useNavigate();
  const add = useAddQuantity(sheet.id);
  const [name, setName] = useState<string | null>(null);
  function keep() {
    const id = newId();
    const { instrument, face, items, zero, convention, sort, divide_by, arc } = quantity;
    add.mutate(
      {
        ...{ id, instrument, items, zero, convention },
        name: name?.trim() ?? "",
        face: face || null,
        pairs: sort === "pair" ? true : null,
        windows: sort === "pair with two windows" ? true : null,
        divide_by: divide_by > 1 ? divide_by : null,
        arc: arc === "shorter" ? null : arc,
      },
      {
        onSuccess: () => void navigate(`/sheets/${sheet.id}/quantities/${id}`),
        onError: (problem) => void message.error(problem.message),
      },
    );
  }
  return (
    <>
      <Button type="link" onClick={() => setName("")}>
        Another like it
      </Button>
      {name !== null && (
        <Modal
          open
          title={`Another like “${quantity.name}”`}
          okText="Measure it"
          okButtonProps={{ disabled: name.trim() === "" }}
          confirmLoading={add.isPending}
          onOk={keep}
          onCancel={() => setName(null)}
        >
          <Input
            aria-label="What is measured"
            autoFocus
            maxLength={200}
            placeholder={
              quantity.unit === "arcmin" ? "Blue, second order" : "Upper spreader, outside"
            }
            value={name}
            onChange={(event) => setName(event.target.value)}
            onPressEnter={() => name.trim() !== "" && keep()}
          />
        </Modal>
      )}
    </>
  );
}

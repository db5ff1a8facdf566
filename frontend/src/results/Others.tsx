import { App, Button, Drawer } from "antd";
import { useState } from "react";

import { useAmendQuantity, type Quantity } from "../api";
import { useShow } from "../app/settings";

interface Props {
  sheet: string;
  quantity: Quantity;
}

/** What the other schools would say of the same readings, each with the reason. */
export function Others({ sheet, quantity }: Props) {
  const show = useShow();
  const [open, setOpen] = useState(false);
  const { message } = App.useApp();
  const amend = useAmendQuantity(sheet);
  function use(convention: string) {
    amend.mutate(
      { seen: quantity, convention },
      { onError: (problem) => void message.error(problem.message) },
    );
  }
  return (
    <>
      <Button type="link" onClick={() => setOpen(true)}>
        What others would say
      </Button>
      <Drawer
        title={`The same readings, other schools: ${quantity.name}`}
        open={open}
        onClose={() => setOpen(false)}
        size="large"
      >
        {quantity.others.map(({ id, name, sentence, why }) => {
          const own = id === quantity.convention;
          return (
            <article key={id} className="school" aria-current={own || undefined}>
              <h3>{name}</h3>
              <span className="mark-result">{show(sentence ?? "no reading yet")}</span>
              {own ? (
                <span className="quiet">the one used here</span>
              ) : (
                <Button loading={amend.isPending} onClick={() => use(id)}>
                  Use it for this quantity
                </Button>
              )}
              {why && <p className="quiet">{show(why)}</p>}
            </article>
          );
        })}
      </Drawer>
    </>
  );
}

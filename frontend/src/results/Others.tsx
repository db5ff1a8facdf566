import { Button, Skeleton } from "antd";
import { useState } from "react";

import { useAmendQuantity, useOthers, type Quantity } from "../api";
import { SidePanel } from "../common/overlays";
import { say } from "../voice";
import { useShowError } from "../common/useShowError";

interface Props {
  sheet: string;
  quantity: Quantity;
}

/** What the other conventions would say of the same readings, each with the reason. */
export function Others({ sheet, quantity }: Props) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button type="link" onClick={() => setOpen(true)}>
        {say("results-what-others-would-say")}
      </Button>
      {open && (
        <SidePanel
          title={say("results-others", { name: quantity.name })}
          onClose={() => setOpen(false)}
        >
          <Conventions sheet={sheet} quantity={quantity} />
        </SidePanel>
      )}
    </>
  );
}

function Conventions({ sheet, quantity }: Props) {
  const showError = useShowError();
  const { data, error } = useOthers(sheet, quantity.id);
  const amend = useAmendQuantity(sheet);
  function use(convention: string) {
    amend.mutate({ seen: quantity, convention }, { onError: showError });
  }
  if (error) return <p role="alert">{error.message}</p>;
  if (!data) return <Skeleton active title={false} />;
  return data.map(({ id, name, sentence, why }) => {
    const own = id === quantity.convention;
    return (
      <article key={id} className="convention" aria-current={own || undefined}>
        <h2>{name}</h2>
        <span className="mark-result">{sentence ?? say("sheet-quantity-empty")}</span>
        {own ? (
          <span className="quiet">{say("results-others-used")}</span>
        ) : (
          <Button loading={amend.isPending} onClick={() => use(id)}>
            {say("results-others-use")}
          </Button>
        )}
        {why && <p className="quiet">{why}</p>}
      </article>
    );
  });
}

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
          title={say("results-the-same-readings-other-conventions", { name: quantity.name })}
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
  if (!data) return <Skeleton active />;
  return data.map(({ id, name, sentence, why }) => {
    const own = id === quantity.convention;
    return (
      <article key={id} className="convention" aria-current={own || undefined}>
        <h2>{name}</h2>
        <span className="mark-result">{sentence ?? say("sheet-no-reading-yet")}</span>
        {own ? (
          <span className="quiet">{say("results-the-one-used-here")}</span>
        ) : (
          <Button loading={amend.isPending} onClick={() => use(id)}>
            {say("results-use-it-for-this-quantity")}
          </Button>
        )}
        {why && <p className="quiet">{why}</p>}
      </article>
    );
  });
}

import { Skeleton } from "antd";
import { useState } from "react";
import { useNavigate } from "react-router";

import { useWholeWorking, type Step } from "../api";
import { Working } from "./Working";
import { SidePanel } from "../common/overlays";
import { say } from "../voice";

interface Props {
  title: string;
  /** Its lines; undefined while they are asked for. */
  steps: Step[] | undefined;
  /** The line to begin at; "" for the first. */
  at: string;
  onLook?: ((index: number) => void) | undefined;
  /** The sheet whose quantities an input may lead to. */
  sheet: string;
  onClose: () => void;
}

const QUANTITY = "quantity:";

/** The whole working: a number that is clicked leads to the line it comes from. */
export function WholeWorking({ title, steps, at: begun, onLook, sheet, onClose }: Props) {
  const [at, setAt] = useState(begun);
  const go = useNavigate();
  function follow(source: string) {
    if (source.startsWith(QUANTITY))
      void go(`/sheets/${sheet}/quantities/${source.slice(QUANTITY.length)}`);
    else setAt(source);
  }
  return (
    <SidePanel title={say("results-working", { title })} onClose={onClose}>
      <p className="quiet">{say("results-trace-hint")}</p>
      {steps ? (
        <Working {...{ steps, at, onLook }} onFollow={follow} />
      ) : (
        <Skeleton active title={false} />
      )}
    </SidePanel>
  );
}

/** The whole working of a quantity, asked for when it is looked at. */
export function QuantityWorking({
  quantity,
  ...props
}: Omit<Props, "steps"> & { quantity: string }) {
  const { data } = useWholeWorking(props.sheet, quantity);
  return <WholeWorking {...props} steps={data} />;
}

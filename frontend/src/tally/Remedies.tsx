import { Button, type ButtonProps } from "antd";

import type { Remedy } from "../api";
import { SetAside } from "./SetAside";

interface Props {
  remedies: Remedy[];
  onAmend: (remedy: Remedy) => void;
  /** For what is asked about one reading. */
  onLookAgain?: () => void;
  onSetAside?: (reason: string) => void;
  loading?: boolean;
}

/** What can be done about a second look: the likeliest first, that nothing is wrong last. */
export function Remedies({ remedies, onAmend, onLookAgain, onSetAside, loading = false }: Props) {
  const drawn = (remedy: Remedy, looks: ButtonProps) => {
    switch (remedy.act) {
      case "look-again":
        return (
          <Button key={remedy.label} {...looks} onClick={onLookAgain}>
            {remedy.label}
          </Button>
        );
      case "set-aside":
        return (
          <SetAside key={remedy.label} onReason={(reason) => onSetAside?.(reason)}>
            <Button {...looks}>{remedy.label}</Button>
          </SetAside>
        );
      case "amend":
        return (
          <Button key={remedy.label} {...looks} loading={loading} onClick={() => onAmend(remedy)}>
            {remedy.label}
          </Button>
        );
    }
  };
  const last = remedies.length - 1;
  return (
    <div className="look-acts">
      {remedies.map((remedy, at) =>
        drawn(remedy, at === 0 ? { type: "primary" } : at === last ? { type: "text" } : {}),
      )}
    </div>
  );
}

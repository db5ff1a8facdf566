import { Button } from "antd";

import { MenuOfActs } from "./overlays";
import { say } from "../voice";

interface Removable {
  key: string;
  /** What it is called. */
  name: string;
  onRemove: () => void;
}

/** What of a thing can be taken away, each by its name: nothing goes by a slip of the hand. */
export function RemoveMenu({ of }: { of: Removable[] }) {
  const items = of.map(({ key, name, onRemove }) => ({ key, label: name, onClick: onRemove }));
  return (
    <MenuOfActs acts={items}>
      <Button type="text" className="quiet" aria-haspopup="menu">
        {say("sheet-remove-what")}
      </Button>
    </MenuOfActs>
  );
}

import { Button } from "antd";

import { MenuOfActs } from "../common/overlays";
import { useDownload } from "../transfer/Download";
import { say } from "../voice";

const LENGTHS = ["full", "short"] as const;

/** All reports in one PDF, whole or short. */
export function PrintAll() {
  const { download, busy } = useDownload();
  const acts = LENGTHS.map((length) => ({
    key: length,
    label: say(`notebook-print-${length}`),
    onClick: () => download(`/api/notebook.pdf?length=${length}`),
  }));
  return (
    <MenuOfActs acts={acts}>
      <Button loading={busy} aria-haspopup="menu">
        {say("notebook-print-all")}
      </Button>
    </MenuOfActs>
  );
}

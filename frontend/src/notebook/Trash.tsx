import { Button, Popconfirm } from "antd";

import { useEmptyTrash, useRestore } from "../api";
import { say } from "../voice";

/** What was thrown away: each sheet can be brought back until the trash is emptied. */
export function Trash({ sheets }: { sheets: { id: string; title: string }[] }) {
  const restore = useRestore();
  const empty = useEmptyTrash();
  if (sheets.length === 0) return null;
  return (
    <details className="trash">
      <summary>{say("notebook-trash", { count: sheets.length })}</summary>
      <ul>
        {sheets.map((sheet) => (
          <li key={sheet.id}>
            {sheet.title}{" "}
            <Button type="link" onClick={() => restore.mutate(sheet.id)}>
              {say("notebook-bring-back")}
            </Button>
          </li>
        ))}
      </ul>
      <Popconfirm
        title={say("notebook-empty-for-good", { count: sheets.length })}
        okText={say("notebook-trash-empty")}
        icon={null}
        okButtonProps={{ size: "large" }}
        cancelButtonProps={{ size: "large" }}
        onConfirm={() => empty.mutate()}
      >
        <Button danger loading={empty.isPending}>
          {say("notebook-trash-empty")}
        </Button>
      </Popconfirm>
    </details>
  );
}

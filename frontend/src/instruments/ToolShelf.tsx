import { App, Button } from "antd";

import { useKeepTool, useRemoveTool, useShelf, type Schemas, type Tool } from "../api";
import { ClosedScales } from "./ClosedScales";
import type { Draft } from "./draft";
import { say } from "../voice";
import { useShowError } from "../common/useShowError";

interface Props {
  tools: Tool[];
  onTake: (draft: Draft, tool: Tool | null) => void;
}

/** The student's own tools, and common patterns to start a description from. */
export function ToolShelf({ tools, onTake }: Props) {
  const { data: shelf } = useShelf();
  const remove = useRemoval();
  const take = (draft: Draft, tool: Tool | null) => {
    onTake(draft, tool);
    window.scrollTo({ top: 0 });
  };
  return (
    <>
      <h2 className="shelf-title">{say("instruments-your-tools")}</h2>
      {tools.length === 0 && <p className="quiet">{say("instruments-own-none")}</p>}
      <div className="shelf">
        {tools.map((tool) => (
          <article key={tool.id} className="card tool-on-shelf">
            <div className="tool-head">
              <h3>{tool.name}</h3>
              <span className="part-fine">{tool.least_count_text}</span>
            </div>
            <ClosedScales instrument={tool} />
            <div className="tool-acts">
              <Button onClick={() => take(tool.record, tool)}>{say("instruments-open")}</Button>
              <Button type="text" onClick={() => remove(tool)}>
                {say("sheet-remove")}
              </Button>
            </div>
          </article>
        ))}
      </div>
      <h2 className="shelf-title">{say("instruments-common-patterns")}</h2>
      <div className="shelf">
        {shelf?.map((pattern) => (
          <button
            key={pattern.id}
            type="button"
            className="card shelf-card"
            onClick={() => take(pattern.record, null)}
          >
            <b>{pattern.title}</b>
            <ClosedScales instrument={pattern.instrument} />
            <span className="quiet">{pattern.description}</span>
          </button>
        ))}
      </div>
    </>
  );
}

function useRemoval() {
  const remove = useRemoveTool();
  const keep = useKeepTool();
  const { message } = App.useApp();
  const showError = useShowError();
  return (tool: Tool) =>
    remove.mutate(tool, {
      onSuccess: () => {
        const key = `tool ${tool.id}`;
        const undo = () => {
          keep.mutate({ ...(tool.record as Schemas["NewTool"]), id: tool.id });
          message.destroy(key);
        };
        void message.open({
          key,
          duration: 8,
          content: (
            <>
              {say("instruments-gone-from-your-tools", { name: tool.name })}{" "}
              <Button type="link" onClick={undo}>
                {say("sheet-undo")}
              </Button>
            </>
          ),
        });
      },
      onError: showError,
    });
}

import { CloseCircleFilled } from "@ant-design/icons";
import { Button, Input, Segmented, Skeleton } from "antd";
import { useDeferredValue } from "react";
import { useNavigate, useSearchParams } from "react-router";

import { useExample, useNewSheet, useSheets, type SheetSummary } from "../api";
import { KiteParts } from "../help/KiteParts";
import { Download } from "../transfer/Download";
import { LoadFile } from "../transfer/LoadFile";
import "./notebook.css";
import { today } from "../common/today";
import { say } from "../voice";
import { DRAWN } from "../common/icons";
import { useShowError } from "../common/useShowError";
import { GroupedSheets } from "./GroupedSheets";
import { groupsOf, ORDERS, speaksOf, type Order } from "./groups";
import { PrintAll } from "./PrintAll";
import { Trash } from "./Trash";

/** All sheets with their result sentences and open second looks. */
export function NotebookPage() {
  const { data, error, isLoading } = useSheets();
  const navigate = useNavigate();
  const create = useNewSheet();
  const begin = () =>
    create.mutate(
      { title: say("notebook-sheet-of", { date: today() }), date: today() },
      { onSuccess: ({ id }) => void navigate(`/sheets/${id}`) },
    );
  return (
    <div className="page">
      <div className="page-head">
        <h1>{say("app-notebook")}</h1>
        <div className="page-acts">
          <LoadFile />
          <Download from="/api/archive">{say("notebook-save-all")}</Download>
          <PrintAll />
          <Button onClick={begin} loading={create.isPending}>
            {say("notebook-new-sheet")}
          </Button>
          {/* Nothing moves under the pointer when the sheets arrive. */}
          {data?.sheets.length !== 0 && (
            <Button type="primary" onClick={() => void navigate("/begin")}>
              {say("begin-measure-something")}
            </Button>
          )}
        </div>
      </div>
      {isLoading && <Skeleton active title={false} />}
      {error && <p role="alert">{error.message}</p>}
      {data?.sheets.length === 0 && <FirstVisit />}
      {data && data.sheets.length > 0 && <Sheets all={data.sheets} />}
      <Trash sheets={data?.trash ?? []} />
    </div>
  );
}

/** What is looked for, and by what the sheets are shown; both are found again on the way back. */
function Sheets({ all }: { all: SheetSummary[] }) {
  const [asked, setAsked] = useSearchParams();
  const wanted = asked.get("find") ?? "";
  const order = ORDERS.find((one) => one === asked.get("by")) ?? "changed";
  const ask = (key: "find" | "by", value: string) =>
    setAsked(
      (before) => {
        if (value) before.set(key, value);
        else before.delete(key);
        return before;
      },
      { replace: true },
    );
  // What is typed is seen at once, what is found a moment later.
  const looked = useDeferredValue(wanted);
  const sheets = all.filter((sheet) => speaksOf(sheet, looked));
  return (
    <>
      <div className="notebook-ways">
        <Input
          allowClear={{ clearIcon: <CloseCircleFilled {...DRAWN} /> }}
          className="notebook-search"
          placeholder={say("notebook-find")}
          aria-label={say("notebook-find")}
          value={wanted}
          onChange={(event) => ask("find", event.target.value)}
        />
        <Segmented<Order>
          aria-label={say("notebook-order")}
          value={order}
          onChange={(value) => ask("by", value === "changed" ? "" : value)}
          options={ORDERS.map((value) => ({ value, label: say(`notebook-order-${value}`) }))}
        />
      </div>
      {sheets.length === 0 ? (
        <div className="card notebook-empty">
          <p>{say("notebook-no-sheet-speaks-of", { wanted: looked })}</p>
        </div>
      ) : (
        <GroupedSheets groups={groupsOf(sheets, order)} order={order} />
      )}
    </>
  );
}

/** An empty notebook: one large way in, and an example to look at. */
function FirstVisit() {
  const navigate = useNavigate();
  const showError = useShowError();
  const example = useExample();
  return (
    <div className="card notebook-empty">
      <Button
        autoFocus
        type="primary"
        className="notebook-begin"
        onClick={() => void navigate("/begin")}
      >
        {say("begin-measure-something")}
      </Button>
      <p>{say("notebook-no-sheet-yet-a-new-one")}</p>
      <Button
        type="link"
        loading={example.isPending}
        onClick={() =>
          example.mutate(undefined, {
            onSuccess: ({ id, quantities }) =>
              void navigate(`/sheets/${id}/quantities/${quantities[0]?.id ?? ""}`),
            onError: showError,
          })
        }
      >
        {say("notebook-example")}
      </Button>
      <KiteParts />
    </div>
  );
}

import { Result, Spin } from "antd";
import type { ReactNode } from "react";
import { Link, useNavigate, useParams } from "react-router";

import { ApiError, useSheet, type Sheet } from "../api";
import { Download } from "../transfer/Download";
import { TrashButton } from "./TrashButton";
import { capital, say } from "../voice";

/** What the server answers for a sheet that cannot be worked out. */
const DAMAGED = 409;

/** What shows the sheet that the address names, once it is here; or says that there is none. */
export function WithSheet({ children }: { children: (sheet: Sheet) => ReactNode }) {
  const { sheetId = "" } = useParams();
  const navigate = useNavigate();
  const { data: sheet, error, isLoading } = useSheet(sheetId);
  if (isLoading) return <Spin size="large" className="page-wait" />;
  if (sheet) return children(sheet);
  const back = <Link to="/">{say("sheet-leave")}</Link>;
  if (error instanceof ApiError && error.status === DAMAGED)
    return (
      <Result
        title={say("sheet-damaged-title")}
        subTitle={say("sheet-damaged-kept", { message: capital(error.message) })}
        extra={
          <div className="damage-acts">
            <Download from={`/api/sheets/${sheetId}/logbook`}>{say("sheet-save")}</Download>
            <TrashButton
              id={sheetId}
              title={say("sheet-damaged-file")}
              onGone={() => void navigate("/")}
            />
            {back}
          </div>
        }
      />
    );
  return <Result title={error?.message ?? say("sheet-missing")} extra={back} />;
}

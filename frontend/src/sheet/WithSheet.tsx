import { Result, Spin } from "antd";
import type { ReactNode } from "react";
import { Link, useNavigate, useParams } from "react-router";

import { ApiError, useSheet, type Sheet } from "../api";
import { Download } from "../transfer/Download";
import { TrashButton } from "./TrashButton";

const capital = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);

/** What the server answers for a sheet that cannot be worked out. */
const DAMAGED = 409;

/** What shows the sheet that the address names, once it is here; or says that there is none. */
export function WithSheet({ children }: { children: (sheet: Sheet) => ReactNode }) {
  const { sheetId = "" } = useParams();
  const navigate = useNavigate();
  const { data: sheet, error, isLoading } = useSheet(sheetId);
  if (isLoading) return <Spin size="large" className="page-wait" />;
  if (sheet) return children(sheet);
  const back = <Link to="/">Back to the notebook</Link>;
  if (error instanceof ApiError && error.status === DAMAGED)
    return (
      <Result
        title="A damaged sheet"
        subTitle={`${capital(error.message)}. What was recorded is kept as it is.`}
        extra={
          <div className="damage-acts">
            <Download from={`/api/sheets/${sheetId}/logbook`}>Save as a file</Download>
            <TrashButton id={sheetId} title="The damaged sheet" onGone={() => void navigate("/")} />
            {back}
          </div>
        }
      />
    );
  return <Result title={error?.message ?? "There is no such sheet."} extra={back} />;
}

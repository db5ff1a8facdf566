import { Result, Spin } from "antd";
import type { ReactNode } from "react";
import { Link, useParams } from "react-router";

import { useSheet, type Sheet } from "../api";

/** What shows the sheet that the address names, once it is here; or says that there is none. */
export function WithSheet({ children }: { children: (sheet: Sheet) => ReactNode }) {
  const { sheetId = "" } = useParams();
  const { data: sheet, error, isLoading } = useSheet(sheetId);
  if (isLoading) return <Spin size="large" className="page-wait" />;
  if (sheet) return children(sheet);
  const back = <Link to="/">Back to the notebook</Link>;
  return <Result title={error?.message ?? "There is no such sheet."} extra={back} />;
}

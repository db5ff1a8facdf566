import { useQueryClient } from "@tanstack/react-query";
import { useEffect, useRef } from "react";
import { useLocation } from "react-router";

import { client, sheetKey, SHEETS, type Sheet } from "../api";

const EVERY_MILLISECONDS = 600;
const HIDDEN_MILLISECONDS = 30_000;

/** Shows what other windows, on this machine or at the bench, change; within a second. */
export function useFollow(): void {
  const queries = useQueryClient();
  const { pathname } = useLocation();
  const seen = useRef("");
  useEffect(() => {
    const sheet = /^\/sheets\/([^/]+)/.exec(pathname)?.[1];
    const id = sheet ? decodeURIComponent(sheet) : "";
    let asking = false;
    let asked = 0;
    async function ask() {
      // What is changed here is shown already; what was answered meanwhile might be older.
      if (asking || queries.isMutating() > 0) return;
      // One that nobody sees only says now and then that it is there.
      const hidden = document.hidden;
      if (hidden && Date.now() - asked < HIDDEN_MILLISECONDS) return;
      asked = Date.now();
      asking = true;
      try {
        const at = document.hasFocus() ? pathname : "";
        const { data, response } = await client.GET("/api/now", {
          params: { query: { sheet: id, at, hidden } },
        });
        if (response.status === 401) window.location.assign("/enter");
        if (!data || data.state === seen.current) return;
        const first = seen.current === "";
        seen.current = data.state;
        const shown = queries.getQueryData<Sheet>(sheetKey(id));
        if (shown && queries.isMutating() === 0 && shown.version !== data.version)
          void queries.invalidateQueries({ queryKey: sheetKey(id) });
        if (!first) void queries.invalidateQueries({ queryKey: SHEETS });
      } catch {
        // The server is away; what is entered meanwhile waits, and so does this.
      } finally {
        asking = false;
      }
    }
    const timer = setInterval(() => void ask(), EVERY_MILLISECONDS);
    return () => clearInterval(timer);
  }, [pathname, queries]);
}

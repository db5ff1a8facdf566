import { CloseOutlined } from "@ant-design/icons";
import { App as AntApp, ConfigProvider, type ConfigProviderProps } from "antd";
import { useEffect, useMemo, useSyncExternalStore, type ReactNode } from "react";

import { language, say } from "../voice";
import { DRAWN } from "../common/icons";
import type { Chosen } from "../common/settings";
import { antdTheme, cssVariables, DARK, LIGHT } from "./tokens";

const REMEMBERED = "metrion-theme";
const prefersDark = window.matchMedia("(prefers-color-scheme: dark)");
const prefersStill = window.matchMedia("(prefers-reduced-motion: reduce)");

function useMedia(query: MediaQueryList): boolean {
  return useSyncExternalStore(
    (changed) => {
      query.addEventListener("change", changed);
      return () => query.removeEventListener("change", changed);
    },
    () => query.matches,
  );
}

/** Where what opens is put: among what the page is about, so that it is found there. */
const wholePage = () => document.querySelector("main") ?? document.body;

const CLOSED_BY = { closeIcon: <CloseOutlined {...DRAWN} /> };

/** What the components say by themselves. */
function words(): NonNullable<ConfigProviderProps["locale"]> {
  const acts = { okText: say("app-ok"), cancelText: say("app-cancel") };
  return {
    locale: language(),
    global: { close: say("app-close") },
    Modal: { ...acts, justOkText: acts.okText },
    Popconfirm: acts,
    Empty: { description: say("app-nothing-here") },
    Text: { edit: say("app-edit") },
  };
}

/** The theme chosen last on this machine: known before the server has answered. */
export function rememberedTheme(): Chosen["theme"] {
  const kept = localStorage.getItem(REMEMBERED);
  return kept === "light" || kept === "dark" ? kept : "system";
}

export function Theme({ choice, children }: { choice: Chosen["theme"]; children: ReactNode }) {
  const systemDark = useMedia(prefersDark);
  const still = useMedia(prefersStill);
  const dark = choice === "dark" || (choice === "system" && systemDark);
  const palette = dark ? DARK : LIGHT;
  useEffect(() => {
    localStorage.setItem(REMEMBERED, choice);
    const root = document.documentElement;
    root.dataset.theme = dark ? "dark" : "light";
    for (const [name, value] of Object.entries(cssVariables(palette)))
      root.style.setProperty(name, value);
  }, [choice, dark, palette]);
  const config = useMemo(() => antdTheme(palette, { dark, still }), [palette, dark, still]);
  return (
    <ConfigProvider
      theme={config}
      locale={words()}
      modal={CLOSED_BY}
      drawer={CLOSED_BY}
      getPopupContainer={wholePage}
    >
      <AntApp>{children}</AntApp>
    </ConfigProvider>
  );
}

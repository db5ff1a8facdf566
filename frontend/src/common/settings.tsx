import { createContext, useContext } from "react";

import type { Settings } from "../api";

export interface Chosen {
  theme: "light" | "dark" | "system";
  singleKeys: boolean;
}

export const USUAL: Chosen = { theme: "system", singleKeys: true };

export const SettingsContext = createContext<Chosen>(USUAL);

/** Settings as the server keeps them, usual values where it says nothing. */
export function chosen(settings: Settings | undefined): Chosen {
  return {
    theme: settings?.theme ?? USUAL.theme,
    singleKeys: settings?.single_keys ?? USUAL.singleKeys,
  };
}

export function useChosen(): Chosen {
  return useContext(SettingsContext);
}

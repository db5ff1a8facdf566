import { createContext, useContext } from "react";

import type { Settings } from "../api";

export interface Chosen {
  theme: "light" | "dark" | "system";
  decimalSign: "point" | "comma";
  singleKeys: boolean;
}

export const USUAL: Chosen = { theme: "system", decimalSign: "point", singleKeys: true };

export const SettingsContext = createContext<Chosen>(USUAL);

/** Settings as the server keeps them, usual values where it says nothing. */
export function chosen(settings: Settings | undefined): Chosen {
  return {
    theme: settings?.theme ?? USUAL.theme,
    decimalSign: settings?.decimal_sign ?? USUAL.decimalSign,
    singleKeys: settings?.single_keys ?? USUAL.singleKeys,
  };
}

/** Numbers in a text with the decimal sign the student chose. */
export function withSign(text: string, sign: Chosen["decimalSign"]): string {
  return sign === "comma" ? text.replace(/(\d)\.(\d)/g, "$1,$2") : text;
}

export function useChosen(): Chosen {
  return useContext(SettingsContext);
}

/** A function that writes texts of the server with the decimal sign chosen. */
export function useShow(): (text: string) => string {
  const { decimalSign } = useChosen();
  return (text) => withSign(text, decimalSign);
}

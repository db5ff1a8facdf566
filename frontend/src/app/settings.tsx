import { createContext, useContext } from "react";

import type { Concept, Settings } from "../api";

export interface Chosen {
  theme: "light" | "dark" | "system";
  decimalSign: "point" | "comma";
  singleKeys: boolean;
  /** The student's own words, by what stands in our texts. */
  words: Record<string, string>;
}

export const USUAL: Chosen = { theme: "system", decimalSign: "point", singleKeys: true, words: {} };

export const SettingsContext = createContext<Chosen>(USUAL);

/**
 * Settings as the server keeps them, usual values where it says nothing.
 *
 * @param concepts the glossary: settings name a concept, our texts hold its usual word.
 */
export function chosen(settings: Settings | undefined, concepts: Concept[] = []): Chosen {
  const words: [string, string][] = [];
  for (const { id, words: known } of concepts) {
    const own = settings?.words?.[id];
    if (own && known[0] && own !== known[0]) words.push([known[0], own]);
  }
  return {
    theme: settings?.theme ?? USUAL.theme,
    decimalSign: settings?.decimal_sign ?? USUAL.decimalSign,
    singleKeys: settings?.single_keys ?? USUAL.singleKeys,
    words: Object.fromEntries(words),
  };
}

/** A text of ours in the student's own words; a capital stays one, a plural stays one. */
export function inWords(text: string, words: Record<string, string>): string {
  const usual = Object.keys(words);
  if (usual.length === 0) return text;
  const any = new RegExp(`\\b(${usual.join("|")})(?=s?\\b)`, "gi");
  return text.replace(any, (found) => {
    const own = words[found.toLowerCase()] ?? found;
    return /^[A-Z]/.test(found) ? own.charAt(0).toUpperCase() + own.slice(1) : own;
  });
}

/** Numbers in a text with the decimal sign the student chose. */
export function withSign(text: string, sign: Chosen["decimalSign"]): string {
  return sign === "comma" ? text.replace(/(\d)\.(\d)/g, "$1,$2") : text;
}

export function useChosen(): Chosen {
  return useContext(SettingsContext);
}

/** A function that writes our texts with the decimal sign and in the words chosen. */
export function useShow(): (text: string) => string {
  const { decimalSign, words } = useChosen();
  return (text) => inWords(withSign(text, decimalSign), words);
}

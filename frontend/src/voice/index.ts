import { FluentBundle, FluentNumber, FluentResource } from "@fluent/bundle";

import type { MessageCode } from "./codes";
import usual from "../../../src/metrion/voice/en.ftl?raw";

export type { MessageCode } from "./codes";

/** What is needed to speak as somebody likes it. */
interface Voice {
  language: string;
  /** Messages that are said otherwise than usual. */
  catalogue: string;
  words: Record<string, string>;
  decimal_sign: "point" | "comma";
}

type About = Record<string, string | number>;

interface Speaking {
  language: string;
  bundle: FluentBundle;
  words: Record<string, string>;
  comma: boolean;
}

let speaking = speakerOf("en", "", {}, false);

function speakerOf(
  language: string,
  catalogue: string,
  words: Record<string, string>,
  comma: boolean,
): Speaking {
  const bundle = new FluentBundle(language, { useIsolating: false });
  // What a catalogue does not say yet is said as in the usual one.
  for (const text of [usual, catalogue])
    bundle.addResource(new FluentResource(text), { allowOverrides: true });
  return { language, bundle, words, comma };
}

/** Speak from now on in the language, the words and with the decimal sign of who reads. */
export function speakAs({ language, catalogue, words, decimal_sign }: Voice): void {
  const comma = decimal_sign === "comma";
  speaking =
    speaking.language === language
      ? { ...speaking, words, comma }
      : speakerOf(language, catalogue, words, comma);
}

/**
 * A message of the catalogue as text.
 *
 * @param about what it is about, by the names the message has for it; numbers are counts.
 * @throws for a message that there is none of, or that lacks something it is about.
 */
export function say(code: MessageCode, about: About = {}): string {
  const pattern = speaking.bundle.getMessage(code)?.value;
  if (!pattern) throw new Error(`the catalogue has no ${code}`);
  const counted = Object.entries(about).map(([name, value]) => [
    name,
    typeof value === "number" ? new FluentNumber(value, { useGrouping: false }) : value,
  ]);
  return speaking.bundle.formatPattern(pattern, {
    ...speaking.words,
    ...(Object.fromEntries(counted) as About),
  });
}

/** A text as a sentence of its own. */
export function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

/** What is typed into a blank, with the decimal sign of the reader. */
export function typed(text: string): string {
  return speaking.comma ? text.replace(/(\d)\.(\d)/g, "$1,$2") : text;
}

/** A number that the page works out, with the signs that the reader has for it. */
export function figure(text: string): string {
  return typed(text).replace(/^-/, "−");
}

/** The language that is spoken. */
export function language(): string {
  return speaking.language;
}

/** What a language calls itself. */
export function languageName(language: string): string {
  return new Intl.DisplayNames(language, { type: "language" }).of(language) ?? language;
}

/** A moment as the reader's language writes it. */
export function dated(at: string, style: Intl.DateTimeFormatOptions): string {
  // In English the month is in letters, and after the day.
  const language = speaking.language === "en" ? "en-GB" : speaking.language;
  return new Intl.DateTimeFormat(language, style).format(new Date(at));
}

import { speakAs } from "./voice";

/** Written by scripts/write_drawings.py (`make test-front` does so first). */
const files = import.meta.glob<Record<string, string>>("../../var/words.json", {
  eager: true,
  import: "default",
});
const usual = Object.values(files)[0];
if (!usual) throw new Error("var/words.json is not there yet: `make test-front` writes it.");

/** Speak to a test: with a comma, or with other words. */
export function speak(words: Record<string, string> = {}, comma = false): void {
  speakAs({
    language: "en",
    catalogue: "",
    words: { ...usual, ...words },
    decimal_sign: comma ? "comma" : "point",
  });
}

speak();

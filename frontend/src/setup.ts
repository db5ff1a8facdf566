import { speakAs } from "./voice";

/** Written by scripts/write_drawings.py (`make test-front` does so first). */
const files = import.meta.glob<Record<string, string>>("../../var/words.json", {
  eager: true,
  import: "default",
});
const usual = Object.values(files)[0] ?? {};

/** Speak to a test: with a comma, or with other words. */
export function speak(words: Record<string, string> = {}, comma = false): void {
  speakAs({
    language: "en",
    languages: ["en"],
    catalogue: "",
    words: { ...usual, ...words },
    decimal_sign: comma ? "comma" : "point",
  });
}

speak();

// What jsdom lacks of a browser.
Object.defineProperty(window, "matchMedia", {
  value: (query: string) => ({
    matches: false,
    media: query,
    addEventListener: () => undefined,
    removeEventListener: () => undefined,
  }),
});

class NoResizes {
  observe() {}
  unobserve() {}
  disconnect() {}
}

Object.defineProperty(window, "ResizeObserver", { value: NoResizes });

Element.prototype.scrollTo = () => undefined;

// What the page would scroll to is nowhere in it.
Element.prototype.scrollIntoView = () => undefined;

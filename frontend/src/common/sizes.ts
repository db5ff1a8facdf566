/** Sizes of type, as custom properties for our own styles and for Ant Design. */
export const TYPE = {
  note: 13,
  small: 14,
  text: 15,
  large: 16,
  heading: 18,
  title: 22,
  figure: 25,
  display: 32,
  result: 44,
} as const;

/** Kinds of window, as custom media for our styles and as queries for scripts. */
export const MEDIA = {
  /** As narrow as a phone held upright. */
  narrow: "(max-width: 700px)",
  /** As narrow as a small phone. */
  tight: "(max-width: 480px)",
  /** As low as a phone on its side. */
  low: "(max-height: 500px)",
  /** A phone on its side. */
  sideways: "(max-height: 500px) and (min-width: 600px)",
  /** A phone, either way. */
  phone: "(max-width: 700px), (max-height: 500px)",
  /** No phone, either way. */
  roomy: "(min-width: 701px) and (min-height: 501px)",
  /** Up to a tablet held upright. */
  tablet: "(max-width: 980px)",
  /** Room for two columns. */
  wide: "(min-width: 1500px)",
  /** A large screen. */
  huge: "(min-width: 1700px) and (min-height: 900px)",
} as const;

/** The queries as custom media, which every style sheet begins with when it is built. */
export const customMedia = Object.entries(MEDIA)
  .map(([name, query]) => `@custom-media --${name} ${query};`)
  .join(" ");

import { theme as antd, type ThemeConfig } from "antd";

import { TYPE } from "../common/sizes";

/** Hues of one theme. Text on `panel` and on the plates passes WCAG AA (checked in a test). */
export interface Palette {
  page: string;
  panel: string;
  ink: string;
  quiet: string;
  rule: string;
  steel: string;
  steelDeep: string;
  brass: string;
  brassDeep: string;
  main: string;
  fine: string;
  zero: string;
  result: string;
  look: string;
  lookEdge: string;
  fault: string;
  band: string;
}

export const LIGHT: Palette = {
  page: "#E9EDEC",
  panel: "#FBFCFA",
  ink: "#17212B",
  quiet: "#53606B",
  rule: "#C6CFCE",
  steel: "#DCE1E4",
  steelDeep: "#C8D0D2",
  brass: "#F1EADC",
  brassDeep: "#DED3BD",
  main: "#24419A",
  fine: "#8A4B00",
  zero: "#0A6A5F",
  result: "#7B1E4E",
  look: "#FCEFD8",
  lookEdge: "#DDB877",
  fault: "#A3242B",
  band: "#EFE6E9",
};

export const DARK: Palette = {
  page: "#0F1518",
  panel: "#182024",
  ink: "#E9EDEA",
  quiet: "#A3B0B4",
  rule: "#36434A",
  steel: "#28333A",
  steelDeep: "#3A474F",
  brass: "#352E20",
  brassDeep: "#4B4230",
  main: "#9DB6FF",
  fine: "#F0B565",
  zero: "#63D3C1",
  result: "#F3A3C7",
  look: "#3A2F18",
  lookEdge: "#7A6230",
  fault: "#FF9A94",
  band: "#33242D",
};

const SANS = '"Primes", "Barlow", "Noto Sans Math", system-ui, sans-serif';
const NARROW = '"Primes", "Barlow Semi Condensed", "Barlow", "Noto Sans Math", sans-serif';

/** The palette and type as CSS custom properties, for everything we draw ourselves. */
export function cssVariables(palette: Palette): Record<string, string> {
  const hues = Object.entries(palette).map(([name, hue]: [string, string]) => [
    `--${name.replace(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`)}`,
    hue,
  ]);
  const sizes = Object.entries(TYPE).map(([name, size]) => [`--type-${name}`, `${size}px`]);
  const faces = [
    ["--sans", SANS],
    ["--narrow", NARROW],
  ];
  return Object.fromEntries([...hues, ...sizes, ...faces]) as Record<string, string>;
}

interface Mood {
  dark: boolean;
  /** Whether nothing is to move: a list that waits for its animation would not let itself be used. */
  still: boolean;
}

/** The same look for Ant Design's components. */
export function antdTheme(palette: Palette, { dark, still }: Mood): ThemeConfig {
  return {
    algorithm: dark ? antd.darkAlgorithm : antd.defaultAlgorithm,
    token: {
      fontFamily: SANS,
      fontSize: TYPE.text,
      borderRadius: 4,
      controlHeight: 36,
      colorPrimary: dark ? palette.main : palette.ink,
      colorLink: palette.main,
      colorText: palette.ink,
      colorTextSecondary: palette.quiet,
      colorTextDescription: palette.quiet,
      colorTextPlaceholder: palette.quiet,
      colorBgContainer: palette.panel,
      colorBgElevated: palette.panel,
      colorBgLayout: palette.page,
      colorBorder: palette.rule,
      colorBorderSecondary: palette.rule,
      colorError: palette.fault,
      colorInfo: palette.main,
      // What is chosen in a list: from the ink as primary hue it would come out dark grey.
      controlItemBgActive: palette.page,
      controlItemBgActiveHover: palette.page,
      controlItemBgHover: palette.page,
      colorTextLightSolid: dark ? palette.page : palette.panel,
      boxShadow: "none",
      wireframe: false,
      motion: !still,
    },
    components: {
      Button: { fontWeight: 600, primaryShadow: "none", defaultShadow: "none" },
      Modal: { titleFontSize: TYPE.title },
    },
  };
}

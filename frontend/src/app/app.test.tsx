import { describe, expect, it } from "vitest";

import { isTaken } from "../desk/useBenchKeys";
import { speak } from "../setup";
import { figure } from "../voice";
import { cssVariables, DARK, LIGHT, type Palette } from "./tokens";

/** Relative luminance, WCAG 2.2. */
function luminance(hue: string): number {
  const [r = 0, g = 0, b = 0] = [1, 3, 5].map((at) => {
    const share = parseInt(hue.slice(at, at + 2), 16) / 255;
    return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4;
  });
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}

function contrast(one: string, other: string): number {
  const [light = 0, dark = 0] = [luminance(one), luminance(other)].sort((a, b) => b - a);
  return (light + 0.05) / (dark + 0.05);
}

const TEXTS: [keyof Palette, (keyof Palette)[]][] = [
  ["ink", ["page", "panel", "steel", "brass", "look", "band"]],
  ["quiet", ["page", "panel", "steel", "look", "brass"]],
  ["main", ["panel", "steel", "look"]],
  ["fine", ["panel", "brass", "look"]],
  ["zero", ["panel"]],
  ["result", ["panel", "look"]],
  ["fault", ["panel"]],
];

describe.each([
  ["light", LIGHT],
  ["dark", DARK],
])("the %s palette", (_, palette) => {
  it.each(TEXTS)("lets %s be read", (text, grounds) => {
    for (const ground of grounds)
      expect(contrast(palette[text], palette[ground]), ground).toBeGreaterThanOrEqual(4.5);
  });

  it("becomes custom properties", () => {
    expect(cssVariables(palette)["--steel-deep"]).toBe(palette.steelDeep);
  });
});

describe("the decimal sign", () => {
  it("is written as chosen, in numbers only", () => {
    speak({}, true);
    expect(["6.33", "-0.5", "12-14", "6."].map(figure)).toEqual(["6,33", "−0,5", "12-14", "6."]);
    speak();
    expect(figure("-6.33")).toBe("−6.33");
  });
});

describe("keys", () => {
  it("are left to text fields and dialogs", () => {
    document.body.innerHTML =
      '<input id="a"><div role="dialog"><button id="b"></button></div><p id="c"></p>';
    const taken = (id: string) => isTaken(document.getElementById(id));
    expect([taken("a"), taken("b"), taken("c"), isTaken(null)]).toEqual([true, true, false, false]);
  });
});

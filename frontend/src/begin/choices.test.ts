import { describe, expect, it } from "vitest";

import type { Measurand } from "../api";
import { settled, toggled, withTool } from "./choices";

const measurand = (id: string, kinds: string[], told = false) =>
  ({ id, kinds, told }) as unknown as Measurand;
const OUTSIDE = measurand("outside", ["vernier", "screw"]);
const INSIDE = measurand("inside", ["vernier"]);
const ANGLE = measurand("angle", ["angular"]);
const ALL = [OUTSIDE, INSIDE, ANGLE];
const told = (id: string) => ALL.map((one) => (one.id === id ? { ...one, told: true } : one));
const tool = (kind: string, circular = false) => ({ instrument: { kind, traits: { circular } } });
const [SCREW, CALIPER, CIRCLE] = [tool("screw"), tool("vernier"), tool("angular", true)];
const TOOLS = [SCREW, CALIPER, CIRCLE];

const shown = (found: ReturnType<typeof settled>) => [
  found.tool.instrument.kind,
  ...found.of.map(({ id }) => id),
];

describe("what is measured, and with what", () => {
  it("is what such a tool usually takes, where nothing says more", () => {
    expect(shown(settled({ tool: SCREW, of: null }, ALL, TOOLS))).toEqual(["screw", "outside"]);
    expect(shown(settled({ tool: CIRCLE, of: [] }, ALL, TOOLS))).toEqual(["angular", "angle"]);
  });

  it("follows the name, with a tool that can", () => {
    const inside = told("inside");
    expect(shown(settled({ tool: SCREW, of: null }, inside, TOOLS))).toEqual(["vernier", "inside"]);
    expect(shown(settled({ tool: SCREW, of: ["outside"] }, inside, TOOLS))).toEqual([
      "screw",
      "outside",
    ]);
    expect(shown(settled({ tool: SCREW, of: null }, inside, [SCREW]))).toEqual([
      "screw",
      "outside",
    ]);
  });

  it("takes several together where one tool can, else the last alone", () => {
    const now = settled({ tool: SCREW, of: null }, ALL, TOOLS);
    const both = settled(toggled(now, INSIDE, TOOLS), ALL, TOOLS);
    expect(shown(both)).toEqual(["vernier", "outside", "inside"]);
    expect(shown(settled(toggled(both, OUTSIDE, TOOLS), ALL, TOOLS))).toEqual([
      "vernier",
      "inside",
    ]);
    expect(shown(settled(toggled(both, ANGLE, TOOLS), ALL, TOOLS))).toEqual(["angular", "angle"]);
  });

  it("lets go what a tool that was picked cannot take", () => {
    const both = { of: ALL.slice(0, 2) };
    expect(withTool(both, SCREW).of).toEqual(["outside"]);
    expect(shown(settled(withTool(both, CIRCLE), told("inside"), TOOLS))).toEqual([
      "angular",
      "angle",
    ]);
  });
});

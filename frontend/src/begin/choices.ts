import type { Measurand } from "../api";

/** A tool, as far as it matters what it can take. */
interface Tool {
  instrument: { kind: string; traits: { circular: boolean } };
}

/** What was chosen by hand: a tool, and what is measured; null where the name decides. */
export interface Chosen<T extends Tool> {
  tool: T;
  of: string[] | null;
}

const fits = (tool: Tool, one: Measurand) => one.kinds.includes(tool.instrument.kind);

const usual = (tool: Tool, all: Measurand[]) =>
  all.filter(({ id }) => id === (tool.instrument.traits.circular ? "angle" : "outside"));

/**
 * What is to be measured, and with which tool: by what was chosen, else by what the name tells,
 * else what such a tool usually takes. A tool that cannot take it gives way to one that can.
 */
export function settled<T extends Tool>(
  { tool, of }: Chosen<T>,
  all: Measurand[],
  tools: T[],
): { tool: T; of: Measurand[] } {
  const wanted = all.filter(({ id, told }) => (of ? of.includes(id) : told));
  if (wanted.length === 0) return { tool, of: usual(tool, all) };
  const can = [tool, ...tools].find((one) => wanted.every((each) => fits(one, each)));
  return can ? { tool: can, of: wanted } : { tool, of: usual(tool, all) };
}

/** The choice after a picture was tapped; what no tool takes along with it goes. */
export function toggled<T extends Tool>(
  now: { tool: T; of: Measurand[] },
  tapped: Measurand,
  tools: T[],
): Chosen<T> {
  const held = now.of.some(({ id }) => id === tapped.id);
  const next = held ? now.of.filter(({ id }) => id !== tapped.id) : [...now.of, tapped];
  const can = [now.tool, ...tools].find((one) => next.every((each) => fits(one, each)));
  return { tool: now.tool, of: (can ? next : [tapped]).map(({ id }) => id) };
}

/** The choice after a tool was picked; what it cannot take goes, whatever the name tells. */
export function withTool<T extends Tool>(now: { of: Measurand[] }, tool: T): Chosen<T> {
  return { tool, of: now.of.filter((one) => fits(tool, one)).map(({ id }) => id) };
}

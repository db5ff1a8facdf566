import type { Derived, Quantity, Recipe, Sheet } from "../api";

/** What stands for a symbol: a quantity by its id, or a value that is typed in. */
export type Input = { quantity: string } | { value: string; uncertainty: string; unit: string };

/** A derived quantity while it is put together. */
export interface Draft {
  name: string;
  formula: string;
  unit: string;
  inputs: Record<string, Input>;
}

const FUNCTIONS = new Set(["pi", "sqrt", "sin", "cos", "tan", "asin", "acos", "atan"]);

/** The symbols of a formula, in the order they are written. */
export function symbolsOf(formula: string): string[] {
  const names = formula.match(/[A-Za-z_][A-Za-z0-9_]*/g) ?? [];
  return [...new Set(names)].filter((name) => !FUNCTIONS.has(name));
}

/** What of a sheet can stand for a symbol. */
export type Source = Pick<Quantity | Derived, "id" | "name" | "dimension"> & {
  sentence: string | null;
};

/** The quantities of a sheet and what is derived of them, up to the one that is changed. */
export function sourcesOf(sheet: Sheet, changed?: string): Source[] {
  const at = sheet.derived.findIndex(({ id }) => id === changed);
  const earlier = at < 0 ? sheet.derived : sheet.derived.slice(0, at);
  const measured = sheet.quantities.map(({ result: { sentence }, ...one }) => ({
    ...one,
    sentence,
  }));
  return [...measured, ...earlier];
}

/** Those that have a dimension. */
export const fitting = (sources: Source[], wanted: string): Source[] =>
  sources.filter(({ dimension }) => dimension === wanted);

const typedIn = (unit: string): Input => ({ value: "", uncertainty: "0", unit });

/** A recipe with what of the sheet stands in its blanks. */
export function begun(recipe: Recipe): Draft {
  const inputs = recipe.blanks.map(({ symbol, unit, found }): [string, Input] => [
    symbol,
    found === null ? typedIn(unit) : { quantity: found },
  ]);
  return {
    name: recipe.title,
    formula: recipe.formula,
    unit: recipe.unit,
    inputs: Object.fromEntries(inputs),
  };
}

/** The draft of a derived quantity that is there already. */
export function draftOf({ name, formula, unit, inputs }: Derived): Draft {
  const each = inputs.map((given): [string, Input] => [
    given.symbol,
    given.quantity === null
      ? {
          value: given.value ?? "",
          uncertainty: given.uncertainty ?? "0",
          unit: given.unit ?? "mm",
        }
      : { quantity: given.quantity },
  ]);
  return { name, formula, unit, inputs: Object.fromEntries(each) };
}

/** The inputs that the formula names, blanks for those that are new. */
export function inputsFor(draft: Draft): [string, Input][] {
  return symbolsOf(draft.formula).map((symbol) => [symbol, draft.inputs[symbol] ?? typedIn("mm")]);
}

/** What is sent: the id of a quantity, or value, uncertainty and unit as they were typed. */
export function asRecord(draft: Draft) {
  const inputs = inputsFor(draft).map(([symbol, given]): [string, unknown] => [
    symbol,
    "quantity" in given ? given.quantity : given,
  ]);
  return {
    name: draft.name.trim(),
    formula: draft.formula,
    unit: draft.unit,
    inputs: Object.fromEntries(inputs),
  };
}

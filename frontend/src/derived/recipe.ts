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

/** The quantities of a sheet that can stand where this unit is wanted. */
export function fitting(sheet: Sheet, unit: string): Quantity[] {
  const angular = (quantity: Quantity) =>
    sheet.instruments.find(({ id }) => id === quantity.instrument)?.traits.circular;
  if (unit === "deg") return sheet.quantities.filter(angular);
  if (unit === "mm") return sheet.quantities.filter((quantity) => !angular(quantity));
  return [];
}

const typedIn = (unit: string): Input => ({ value: "", uncertainty: "0", unit });

/** A recipe with quantities of the sheet put in where some fit, each once. */
export function begun(recipe: Recipe, sheet: Sheet): Draft {
  const taken = new Set<string>();
  const inputs: Record<string, Input> = {};
  for (const { symbol, unit } of recipe.blanks) {
    const found = fitting(sheet, unit).find(({ id }) => !taken.has(id));
    if (found) taken.add(found.id);
    inputs[symbol] = found ? { quantity: found.id } : typedIn(unit);
  }
  return { name: recipe.title, formula: recipe.formula, unit: recipe.unit, inputs };
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

import { useSheet, type Derived, type Quantity } from "../api";
import type { Comparable } from "./Compare";

/** What else of its sheet a result can stand beside: all that have its dimension. */
export function useComparable(sheet: string, own: Quantity | Derived): Comparable[] {
  const { data } = useSheet(sheet);
  const fits = (one: Quantity | Derived) => one.dimension === own.dimension && one.id !== own.id;
  const named = (kind: Comparable["kind"]) => (one: Quantity | Derived) => ({
    kind,
    id: one.id,
    name: one.name,
  });
  return [
    ...(data?.quantities.filter(fits).map(named("quantity")) ?? []),
    ...(data?.derived.filter(fits).map(named("derived")) ?? []),
  ];
}

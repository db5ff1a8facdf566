/** What answers are remembered by. */
export const SHEETS = ["sheets"] as const;
export const sheetKey = (id: string) => ["sheet", id] as const;

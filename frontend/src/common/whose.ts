import { say } from "../voice";

interface Head {
  title: string;
  authors: string;
  date: string;
}

/** What a sheet is called. */
export const titleOf = ({ title }: Pick<Head, "title">) => title || say("sheet-untitled-sheet");

/** Who measured and when, as far as the sheet says so. */
export const whose = ({ authors, date }: Pick<Head, "authors" | "date">, ...more: string[]) =>
  [authors && say("sheet-by", { authors }), date, ...more].filter(Boolean).join(" · ");

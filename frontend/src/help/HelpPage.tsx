import Markdown, { type Components } from "react-markdown";
import gfm from "remark-gfm";

import guide from "../../../docs/guide.md?raw";
import "./help.css";
import { KiteParts } from "./KiteParts";

/** The pictures that the guide points to, by where they lie beside it. */
const PICTURES = Object.fromEntries(
  Object.entries(
    import.meta.glob<string>("../../../docs/screenshots/*.png", {
      eager: true,
      query: "?url",
      import: "default",
    }),
  ).map(([path, address]) => [path.replace(/^.*docs\//, ""), address]),
);

const PIECES: Components = {
  a: ({ href = "", children }) => (
    <a href={PICTURES[href] ?? href} target="_blank" rel="noreferrer">
      {children}
    </a>
  ),
};

/** The guide, as it lies beside the program. */
export default function HelpPage() {
  return (
    <article className="page help card">
      <KiteParts />
      <Markdown remarkPlugins={[gfm]} components={PIECES}>
        {guide}
      </Markdown>
    </article>
  );
}

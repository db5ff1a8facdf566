/** Of an icon that only draws what its button says in words: nothing is heard of it. */
export const DRAWN = { role: "presentation", "aria-hidden": true, "aria-label": "" } as const;

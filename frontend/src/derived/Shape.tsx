/** A shape on a field of 64 by 42: its body, and the sizes that go into the formula. */
interface Drawn {
  body: string;
  /** What of its edges is seen within it. */
  edges?: string;
  sizes: string;
}

const RING = "M32 5A16 16 0 1 0 32 37A16 16 0 1 0 32 5ZM32 13A8 8 0 1 1 32 29A8 8 0 1 1 32 13Z";
const ROD = "M14 10H50A4 11 0 0 1 50 32H14A4 11 0 0 1 14 10Z";
const BLOCK = { body: "M8 16L20 8H56V26L44 34H8Z", edges: "M8 16H44V34M44 16L56 8" };
const COMB = "M6 6H58M10 6V14M18 6V14M26 6V14M34 6V14M42 6V14M50 6V14";
const PRISM = "M10 36L32 6L54 36Z";

/** What the usual ones look like, by their names. */
const SHAPES: Partial<Record<string, Drawn>> = {
  difference: { body: "M8 6H26V36H8ZM38 16H56V36H38Z", sizes: "M26 6H60M57 6V16" },
  wall: { body: RING, sizes: "M48 21H40M48 17V25M40 17V25" },
  mean: { body: "M6 14L58 10V32L6 28Z", sizes: "M14 13V29M50 11V31" },
  "mean-of-three": { body: "M6 14L58 10V32L6 28Z", sizes: "M14 13V29M32 12V30M50 11V31" },
  disc: { body: "M32 5A16 16 0 1 0 32 37A16 16 0 1 0 32 5Z", sizes: "M16 21H48" },
  ring: { body: RING, sizes: "M16 39H48M24 21H40" },
  plate: { body: "M10 8H54V34H10Z", sizes: "M10 38H54M58 8V34" },
  cylinder: { body: ROD, sizes: "M14 37H50M56 10V32" },
  tube: {
    body: `${ROD}M50 16A2 5 0 0 1 50 26A2 5 0 0 1 50 16Z`,
    sizes: "M14 37H50M58 10V32M54 16V26",
  },
  sphere: {
    body: "M32 5A16 16 0 1 0 32 37A16 16 0 1 0 32 5ZM16 21A16 5 0 0 0 48 21",
    sizes: "M16 21H48",
  },
  slab: { ...BLOCK, sizes: "M8 38H44M4 16V34M47 36L58 29" },
  "density-of-volume": { ...BLOCK, sizes: "M26 20V30M21 25H31" },
  "density-of-rod": { body: ROD, sizes: "M14 37H50M56 10V32M32 16V26M27 21H37" },
  density: { ...BLOCK, sizes: "M8 38H44M4 16V34M26 20V30M21 25H31" },
  items: {
    body: "M12 6H44V12H12ZM12 14H44V20H12ZM12 22H44V28H12ZM12 30H44V36H12Z",
    sizes: "M52 6V36M48 6H56M48 36H56",
  },
  grating: { body: COMB, sizes: "M18 18H26M34 14V38M34 14L52 36" },
  wavelength: { body: COMB, sizes: "M34 14V38M34 14L52 36M36 30A14 14 0 0 0 45 27" },
  lines: { body: COMB, sizes: "M6 20H58M6 17V23M58 17V23" },
  "prism-angle": { body: PRISM, sizes: "M26 14A10 10 0 0 0 38 14" },
  prism: { body: PRISM, sizes: "M4 30L20 22L44 22L60 30" },
};

/** What a usual derived quantity is of, as a small picture. */
export function Shape({ of }: { of: string }) {
  const drawn = SHAPES[of];
  if (!drawn) return null;
  return (
    <svg className="shape" viewBox="0 0 64 42" width="64" height="42" aria-hidden>
      <path className="shape-body" fillRule="evenodd" d={drawn.body} />
      {drawn.edges && <path className="shape-edges" d={drawn.edges} />}
      <path className="shape-sizes" d={drawn.sizes} />
    </svg>
  );
}

export { Strip } from "./Strip";
export type { StripProps } from "./Strip";
export { SlowMotion } from "./SlowMotion";
export { useLineAfterLine } from "./useLineAfterLine";

export { Strip } from "./Strip";
export type { StripProps } from "./Strip";

export { Tally } from "./Tally";
export type { LookActions } from "./SecondLook";

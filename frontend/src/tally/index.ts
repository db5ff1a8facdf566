export { Tally } from "./Tally";
export { SecondLook, type LookActions } from "./SecondLook";

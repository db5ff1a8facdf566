export { Tally } from "./Tally";
export { Remedies } from "./Remedies";
export { SecondLook, type LookActions } from "./SecondLook";

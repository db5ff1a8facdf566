export { nextPlanned, placeOf, wordsOf, type Planned } from "./planned";
export { Tally } from "./Tally";
export { Remedies } from "./Remedies";
export { SecondLook, type LookActions } from "./SecondLook";

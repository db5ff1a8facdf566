export { KeptMark } from "./Kept";
export { PhotoAtEquation } from "./PhotoAtEquation";
export { PhotoOfRow } from "./PhotoOfRow";
export { hasPhotographs } from "./queries";

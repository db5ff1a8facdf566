/** The date of today as a title has it, year first. */
export const today = () => new Date().toLocaleDateString("sv");

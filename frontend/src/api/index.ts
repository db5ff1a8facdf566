export * from "./changes";
export * from "./client";
export * from "./keys";
export * from "./merged";
export * from "./queries";

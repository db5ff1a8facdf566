import createClient from "openapi-fetch";

import { say } from "../voice";
import type { components, paths } from "./schema";

export type Schemas = components["schemas"];
export type Sheet = Schemas["Sheet"];
export type SheetSummary = Schemas["SheetSummary"];
export type Instrument = Schemas["Instrument"];
/** How the scales of a tool are drawn. */
export type Drawing = Instrument["traits"]["drawing"];
export type Lines = Schemas["Lines"];
export type ZeroCheck = Schemas["ZeroCheck"];
export type Quantity = Schemas["Quantity"];
/** Where the zero of closed faces stands: on it, short of it, or past it. */
export type ZeroStands = "on" | ZeroOff;
export type ZeroOff = "short" | "past";
/** The figures of a zero that stands exactly: they need not be typed. */
export const STANDS_ON_ZERO = { main: "0", fine: 0, second_turn: null };
export type Reading = Schemas["Reading"];
export type Derived = Schemas["Derived"];
export type Measurand = Schemas["Measurand"];
export type Recipe = Schemas["Recipe"];
export type SheetForm = Schemas["SheetForm"];
/** A look as it was typed. */
export type Entered = Required<Schemas["EnteredFigures"]>;
export type Flag = Schemas["Flag"];
export type Remedy = Flag["remedies"][number];
export type Step = Schemas["Step"];
export type Span = Schemas["Span"];
export type Budget = Schemas["Budget"];
export type Compared = Schemas["Compared"];
export type Convention = Schemas["Convention"];
export type Plan = Schemas["Plan"];
export type Arrival = Schemas["Arrival"];
export type Decision = Arrival["usual"];
export type TableFound = Schemas["Table"];
export type TableFit = Schemas["Fit"];
export type Taken = Schemas["Taken"];
export type Answer = Schemas["Answer"];
export type Neighbour = Schemas["Neighbour"];
export type Pattern = Schemas["Pattern"];
export type Concept = Schemas["Concept"];
export type Words = Schemas["Words"];
export type Tool = Schemas["Tool"];
export type Description = Schemas["Description"];
export type Hint = Schemas["Hint"];
export type Settings = Schemas["Settings"];
export type Voice = Schemas["Voice"];
export type FineAs = NonNullable<Instrument["fine_as"]>;
export type MainAs = NonNullable<Instrument["main_as"]>;
export type Numerals = NonNullable<Schemas["AnsweredFigures"]["numerals"]>;
export type Offer = Schemas["Offer"];

const OWN_WINDOW = "metrion-window";

/** Who asks: this window, also after it was loaded anew. */
export const ASKED_BY = { "Metrion-Window": ownWindow() };

function ownWindow(): string {
  try {
    const known = sessionStorage.getItem(OWN_WINDOW) ?? newId();
    sessionStorage.setItem(OWN_WINDOW, known);
    return known;
  } catch {
    return newId();
  }
}

export const client = createClient<paths>({
  baseUrl: window.location.origin,
  headers: ASKED_BY,
  // Looked up with each request, so that a test can put its own in the place.
  fetch: (request) => globalThis.fetch(request),
});

export interface Fault {
  pointer: string;
  message: string;
}

export type Use = Schemas["Use"];

/** The server refused, or could not be reached; `faults` says what is wrong and where. */
export class ApiError extends Error {
  readonly faults: Fault[];
  readonly status: number;
  /** What uses that which was to be removed. */
  readonly uses: Use[];
  /** What to send where it is meant all the same: it is another window's. */
  readonly asks: string;

  constructor(message: string, faults: Fault[], status: number, uses: Use[] = [], asks = "") {
    super(message);
    this.asks = asks;
    this.faults = faults;
    this.status = status;
    this.uses = uses;
  }

  /** Whether nothing was heard of the server at all. */
  get away(): boolean {
    return this.status === 0;
  }
}

interface Outcome<T> {
  data?: T;
  error?: unknown;
  response: Response;
}

/** The body of an answer, or an `ApiError`. */
export async function body<T>(call: Promise<Outcome<T>>): Promise<T> {
  let outcome: Outcome<T>;
  try {
    outcome = await call;
  } catch {
    throw away();
  }
  if (!outcome.response.ok) throw asError(outcome.error, outcome.response.status);
  return outcome.data as T;
}

/** What the server makes at an address, and the name it gives it; or an `ApiError`. */
export async function fetched(address: string): Promise<{ name: string; content: Blob }> {
  let response: Response;
  try {
    response = await globalThis.fetch(address);
  } catch {
    throw away();
  }
  if (!response.ok) throw asError(await response.json().catch(() => null), response.status);
  const name = /filename="([^"]+)"/.exec(response.headers.get("Content-Disposition") ?? "");
  return { name: name?.[1] ?? "", content: await response.blob() };
}

const away = () => new ApiError(say("api-away"), [], 0);

/** The `ApiError` for what a server sent instead of an answer. */
export function asError(sent: unknown, status: number): ApiError {
  const error = (typeof sent === "object" && sent !== null ? sent : {}) as Partial<ApiError>;
  return new ApiError(
    error.message ?? say("api-answered", { status: String(status) }),
    error.faults ?? [],
    status,
    error.uses ?? [],
    error.asks ?? "",
  );
}

/** An id that no other entry has. */
export function newId(): string {
  const random = crypto.getRandomValues(new Uint8Array(16));
  return Array.from(random, (byte) => byte.toString(16).padStart(2, "0")).join("");
}

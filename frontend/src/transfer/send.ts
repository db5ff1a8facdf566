import { ApiError, asError, ASKED_BY } from "../api";
import { say } from "../voice";

/** How far a long work is: so many of so many steps. */
export interface Progress {
  done: number;
  of: number;
}

/** How far that is, in whole per cent. */
export function percentOf(progress: Progress | null): number {
  return progress ? Math.floor((100 * progress.done) / progress.of) : 0;
}

/** A line of an answer that tells how far it is; the last one holds what it came to. */
type Line<Found> = Progress | { answer: Found } | { error: unknown; status: number };

const LINES = "application/x-ndjson";

/**
 * Sends files; an answer that says no becomes an error.
 *
 * @param onProgress told how far the work is, where it takes several steps
 */
export async function send<Found>(
  address: string,
  body: BodyInit,
  onProgress?: (progress: Progress) => void,
): Promise<Found> {
  const accepted = onProgress ? { Accept: `${LINES}, application/json` } : {};
  const headers: HeadersInit = { ...ASKED_BY, ...accepted };
  let response: Response;
  try {
    response = await fetch(address, { method: "POST", body, headers });
  } catch {
    throw new ApiError(say("transfer-offline"), [], 0);
  }
  if (response.body && response.headers.get("Content-Type")?.startsWith(LINES))
    return followed<Found>(response.body, onProgress);
  const sent: unknown = await response.json();
  if (!response.ok) throw asError(sent, response.status);
  return sent as Found;
}

async function followed<Found>(
  body: ReadableStream<Uint8Array>,
  onProgress?: (progress: Progress) => void,
): Promise<Found> {
  for await (const text of lines(body)) {
    const line = JSON.parse(text) as Line<Found>;
    if ("answer" in line) return line.answer;
    if ("error" in line) throw asError(line.error, line.status);
    onProgress?.(line);
  }
  throw new ApiError(say("transfer-broken-off"), [], 0);
}

/** The lines of a body as they arrive. */
async function* lines(body: ReadableStream<Uint8Array>): AsyncGenerator<string> {
  const reader = body.getReader();
  const decoder = new TextDecoder();
  let rest = "";
  for (;;) {
    const { done, value } = await reader.read();
    if (done) return;
    const pieces = (rest + decoder.decode(value, { stream: true })).split("\n");
    rest = pieces.pop() ?? "";
    yield* pieces;
  }
}

import { afterEach, describe, expect, it, vi } from "vitest";

import { ApiError } from "../api";
import { percentOf, send } from "./send";

const FILE = new File(["{}"], "kites.json");

/** An answer whose body arrives in these pieces. */
function arriving(type: string, status: number, ...pieces: string[]): Response {
  const encoder = new TextEncoder();
  const body = new ReadableStream<Uint8Array>({
    start(controller) {
      for (const piece of pieces) controller.enqueue(encoder.encode(piece));
      controller.close();
    },
  });
  return new Response(body, { status, headers: { "Content-Type": type } });
}

const answering = (answer: Response | Error) =>
  vi
    .spyOn(globalThis, "fetch")
    .mockImplementation(() =>
      answer instanceof Error ? Promise.reject(answer) : Promise.resolve(answer),
    );

const problem = async (call: Promise<unknown>) => {
  const found: unknown = await call.catch((error: unknown) => error);
  if (found instanceof ApiError) return found;
  throw new Error("no ApiError came");
};

afterEach(() => vi.restoreAllMocks());

describe("a file that is sent", () => {
  const LINES = "application/x-ndjson";

  it("tells how far it is, wherever its lines are cut", async () => {
    const fetched = answering(
      arriving(LINES, 200, '{"done":1,"of":4}\n{"do', 'ne":3,"of":4}', '\n{"answer":["ü"]}\n'),
    );
    const seen: number[] = [];
    const answer = await send("/api/arrivals", FILE, (progress) => seen.push(percentOf(progress)));
    expect(answer).toEqual(["ü"]);
    expect(seen).toEqual([25, 75]);
    const [, asked] = fetched.mock.calls[0] ?? [];
    expect(new Headers(asked?.headers).get("Accept")).toContain(LINES);
  });

  it("asks for the answer alone where nobody wants to know", async () => {
    const fetched = answering(arriving("application/json", 200, '{"count": 3}'));
    expect(await send("/api/table", FILE)).toEqual({ count: 3 });
    const [, asked] = fetched.mock.calls[0] ?? [];
    expect(new Headers(asked?.headers).get("Accept")).toBeNull();
  });

  it("says why it is refused, before or on the way", async () => {
    const refusal = '{"message":"no ZIP","faults":[{"pointer":"","message":"no ZIP"}]}';
    answering(arriving("application/json", 422, refusal));
    const before = await problem(send("/api/arrivals", FILE, vi.fn()));
    expect([before.status, before.faults.length]).toEqual([422, 1]);
    answering(arriving(LINES, 200, `{"done":1,"of":2}\n{"error":${refusal},"status":412}\n`));
    const later = await problem(send("/api/arrivals", FILE, vi.fn()));
    expect([later.status, later.message]).toEqual([412, "no ZIP"]);
  });

  it("says so where the answer breaks off or none comes", async () => {
    answering(arriving(LINES, 200, '{"done":1,"of":2}\n'));
    expect((await problem(send("/api/arrivals", FILE, vi.fn()))).message).toContain("broke off");
    answering(new TypeError("Failed to fetch"));
    const away = await problem(send("/api/arrivals", FILE));
    expect([away.away, away.message.includes("does not answer")]).toEqual([true, true]);
  });
});

it("nothing done yet is no per cent", () => {
  expect(percentOf(null)).toBe(0);
});

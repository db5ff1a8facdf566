import { describe, expect, it } from "vitest";

import { ApiError, asError, body, newId } from "./client";

const answer = <T,>(status: number, data?: T, error?: unknown) =>
  Promise.resolve({
    ...(data === undefined ? {} : { data }),
    error,
    response: new Response(null, { status }),
  });

const failure = async (call: Promise<unknown>): Promise<ApiError> => {
  try {
    await call;
  } catch (problem) {
    if (problem instanceof ApiError) return problem;
  }
  throw new Error("no ApiError came");
};

describe("an answer", () => {
  it("gives its body", async () => {
    expect(await body(answer(200, { title: "Kites" }))).toEqual({ title: "Kites" });
  });

  it("that refuses is an error with its sentence and faults", async () => {
    const faults = [{ pointer: "/version", message: "is 9" }];
    const problem = await failure(body(answer(422, undefined, { message: "no", faults })));
    expect([problem.message, problem.status, problem.faults]).toEqual(["no", 422, faults]);
    expect(problem.away).toBe(false);
  });

  it("that does not come says that nothing is lost", async () => {
    const problem = await failure(body(Promise.reject(new TypeError("network"))));
    expect(problem.away).toBe(true);
    expect(problem.message).toContain("nothing typed is lost");
  });

  it.each([undefined, null, "text", 5])("of another shape (%j) still says its status", (sent) => {
    expect(asError(sent, 502).message).toBe("The server answered 502.");
  });
});

describe("ids", () => {
  it("are long and never the same", () => {
    const ids = new Set(Array.from({ length: 200 }, newId));
    expect(ids.size).toBe(200);
    for (const id of ids) expect(id).toMatch(/^[0-9a-f]{32}$/);
  });
});

import { beforeEach, describe, expect, it, vi } from "vitest";

import { ApiError } from "../api";
import { ENTERED } from "../tests/fixtures";
import { flush, Outbox, type Waiting } from "./outbox";

const entry = (id: string): Waiting => ({
  id,
  sheet: "s",
  quantity: "q",
  entered: [ENTERED],
  fields: {},
  refused: "",
});

let outbox: Outbox;
beforeEach(() => {
  localStorage.clear();
  outbox = new Outbox(localStorage);
});

describe("what waits", () => {
  it("is there after a reload, in order", () => {
    outbox.add(entry("a"));
    outbox.add(entry("b"));
    expect(new Outbox(localStorage).all().map(({ id }) => id)).toEqual(["a", "b"]);
  });

  it("tells whoever listens", () => {
    let told = 0;
    const stop = outbox.subscribe(() => told++);
    outbox.add(entry("a"));
    stop();
    outbox.remove("a");
    expect(told).toBe(1);
  });

  it("is empty where what was kept cannot be understood", () => {
    localStorage.setItem("metrion-outbox/a", "{broken");
    expect(new Outbox(localStorage).all()).toEqual([]);
  });

  it("keeps what another window adds while one is taken out", () => {
    outbox.add(entry("a"));
    const taken = vi.spyOn(Storage.prototype, "removeItem").mockImplementationOnce(() => {
      new Outbox(localStorage).add(entry("b"));
      localStorage.removeItem("metrion-outbox/a");
    });
    outbox.remove("a");
    expect(taken).toHaveBeenCalled();
    taken.mockRestore();
    expect(new Outbox(localStorage).all().map(({ id }) => id)).toEqual(["b"]);
  });

  it("takes over what was kept as one list", () => {
    const [first, second] = [entry("b"), entry("a")];
    localStorage.setItem(
      "metrion-outbox",
      JSON.stringify([{ ...first, entered: first.entered[0] }, second]),
    );
    const found = new Outbox(localStorage).all();
    expect(found.map(({ id, entered }) => [id, entered.length])).toEqual([
      ["b", 1],
      ["a", 1],
    ]);
    expect(localStorage.getItem("metrion-outbox")).toBeNull();
  });
});

describe("sending", () => {
  it("goes in order and forgets what has arrived", async () => {
    for (const id of ["a", "b", "c"]) outbox.add(entry(id));
    const sent: string[] = [];
    expect(await flush(outbox, ({ id }) => Promise.resolve(void sent.push(id)))).toBe(true);
    expect(sent).toEqual(["a", "b", "c"]);
    expect(outbox.all()).toEqual([]);
  });

  it("stops at the first that does not get through, and keeps it", async () => {
    for (const id of ["a", "b"]) outbox.add(entry(id));
    const away = () => Promise.reject(new ApiError("away", [], 0));
    expect(await flush(outbox, away)).toBe(false);
    expect(outbox.all().map(({ id }) => id)).toEqual(["a", "b"]);
  });

  it.each([401, 429, 503, 507])(
    "waits where the answer (%d) will be another one later",
    async (status) => {
      for (const id of ["a", "b"]) outbox.add(entry(id));
      const busy = () => Promise.reject(new ApiError("busy", [], status));
      expect(await flush(outbox, busy)).toBe(false);
      expect(outbox.all().map(({ id, refused }) => [id, refused])).toEqual([
        ["a", ""],
        ["b", ""],
      ]);
    },
  );

  it("does not let one that always fails block those behind it", async () => {
    for (const id of ["a", "b"]) outbox.add(entry(id));
    const broken = ({ id }: Waiting) =>
      id === "a" ? Promise.reject(new ApiError("broken", [], 500)) : Promise.resolve();
    expect(await flush(outbox, broken)).toBe(true);
    expect(outbox.all().map(({ id, refused }) => [id, refused])).toEqual([["a", "broken"]]);
  });

  it("keeps what the server refuses, with the reason, and goes on", async () => {
    for (const id of ["a", "b"]) outbox.add(entry(id));
    const choosy = ({ id }: Waiting) =>
      id === "a" ? Promise.reject(new ApiError("no such mark", [], 422)) : Promise.resolve();
    expect(await flush(outbox, choosy)).toBe(true);
    expect(outbox.all().map(({ id, refused }) => [id, refused])).toEqual([["a", "no such mark"]]);
    expect(outbox.next()).toBeUndefined();
  });
});

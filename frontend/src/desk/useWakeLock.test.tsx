import { cleanup, renderHook } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";

import { useWakeLock } from "./useWakeLock";

const release = vi.fn(() => Promise.resolve());
const request = vi.fn(() => Promise.resolve({ release }));

function withWakeLock(asked: unknown) {
  Object.defineProperty(navigator, "wakeLock", { value: { request: asked }, configurable: true });
}

afterEach(() => {
  cleanup();
  vi.clearAllMocks();
  Reflect.deleteProperty(navigator, "wakeLock");
});

describe("while a quantity is recorded", () => {
  it("the screen is kept awake, and let go at the end", async () => {
    withWakeLock(request);
    const { unmount } = renderHook(() => useWakeLock());
    await vi.waitFor(() => expect(request).toHaveBeenCalledWith("screen"));
    await Promise.resolve();
    unmount();
    await vi.waitFor(() => expect(release).toHaveBeenCalledOnce());
  });

  it("it is asked for again when the page comes back", async () => {
    withWakeLock(request);
    renderHook(() => useWakeLock());
    document.dispatchEvent(new Event("visibilitychange"));
    await vi.waitFor(() => expect(request).toHaveBeenCalledTimes(2));
  });

  it("a system that says no is left in peace", async () => {
    const refuse = vi.fn(() => Promise.reject(new Error("battery")));
    withWakeLock(refuse);
    const { unmount } = renderHook(() => useWakeLock());
    await vi.waitFor(() => expect(refuse).toHaveBeenCalledOnce());
    unmount();
    expect(release).not.toHaveBeenCalled();
  });

  it("nothing is asked where there is no such thing", () => {
    expect(() => renderHook(() => useWakeLock())).not.toThrow();
  });
});

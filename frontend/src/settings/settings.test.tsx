import { cleanup, fireEvent, screen, waitFor } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";

import { show } from "../tests/fixtures";
import { ConventionDialog } from "./ConventionDialog";

interface Sent {
  url: string;
  method: string;
  body: Record<string, unknown>;
}

const CHOICES = {
  spread: [
    { value: "half-range", label: "half the range" },
    { value: "mean-deviation", label: "mean deviation" },
  ],
  combine: [{ value: "larger", label: "the larger counts" }],
};
const sent: Sent[] = [];

beforeEach(() => {
  sent.length = 0;
  vi.stubGlobal("fetch", async (request: Request) => {
    if (request.url.endsWith("/choices")) return Response.json(CHOICES);
    const body = (await request.json()) as Record<string, unknown>;
    sent.push({ url: request.url, method: request.method, body });
    const faulty = body.reading_limit === "0";
    const said = faulty
      ? { message: "1 fault", faults: [{ pointer: "/reading_limit", message: "must be above 0" }] }
      : { id: "draft", name: body.name, words: [`One look: ${String(body.reading_limit)}.`] };
    return new Response(JSON.stringify(said), {
      status: faulty ? 422 : 200,
      headers: { "Content-Type": "application/json" },
    });
  });
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const last = () => sent.at(-1)?.body;

describe("a convention of one's own", () => {
  it("is said in sentences while it is described, with the fields of its family only", async () => {
    show(<ConventionDialog convention={null} onClose={vi.fn()} />);
    await waitFor(() => expect(screen.getByText("One look: 1/2.")).toBeTruthy());
    expect(last()).toMatchObject({ spread: "half-range", combine: "larger" });
    expect(last()).not.toHaveProperty("coverage");
    fireEvent.click(await screen.findByText("mean deviation"));
    await waitFor(() => expect(last()).toMatchObject({ spread: "mean-deviation" }));
    fireEvent.click(screen.getByText("a standard uncertainty"));
    fireEvent.change(screen.getByLabelText("Multiplied by, or widened to cover"), {
      target: { value: "95 %" },
    });
    await waitFor(() => expect(last()).toMatchObject({ coverage: "95%" }));
    expect(last()).not.toHaveProperty("spread");
  });

  it("says what is wrong, and puts the cursor there where it was to be kept so", async () => {
    const onClose = vi.fn();
    show(<ConventionDialog convention={null} onClose={onClose} />);
    fireEvent.change(screen.getByLabelText("Its name"), { target: { value: "Ours" } });
    fireEvent.change(screen.getByLabelText("One look may be off by"), { target: { value: "0" } });
    await waitFor(() => expect(screen.getByText("must be above 0")).toBeTruthy());
    fireEvent.click(screen.getByRole("button", { name: "Keep it" }));
    const faulty = screen.getByLabelText("One look may be off by");
    await waitFor(() => expect(document.activeElement).toBe(faulty));
    expect(onClose).not.toHaveBeenCalled();
  });

  it("is kept, and its dialog closes", async () => {
    const onClose = vi.fn();
    show(<ConventionDialog convention={null} onClose={onClose} />);
    fireEvent.change(screen.getByLabelText("Its name"), { target: { value: "Ours" } });
    fireEvent.change(screen.getByLabelText("One look may be off by"), { target: { value: "0,5" } });
    fireEvent.click(screen.getByText("two when the first is 1"));
    fireEvent.click(screen.getByRole("button", { name: "Keep it" }));
    await waitFor(() => expect(onClose).toHaveBeenCalled());
    const kept = sent.find(({ url }) => url.endsWith("/api/conventions"));
    expect(kept).toMatchObject({
      method: "POST",
      body: { name: "Ours", reading_limit: "0.5", digits: "1-or-2", zero_look: true },
    });
  });
});

import { cleanup, screen } from "@testing-library/react";
import { afterEach, describe, expect, it } from "vitest";

import type { Flag } from "../api";
import { quantity, show } from "../tests/fixtures";
import { Places } from "./Places";
import { ResultPanel } from "./ResultPanel";

afterEach(cleanup);

const PLACES = [
  { place: "rim", count: 2, sentence: "(8.63 ± 0.03) mm" },
  { place: "", count: 1, sentence: null },
];
const FLAG: Flag = {
  code: "place-effect",
  level: "warning",
  message: "rim and foot differ by 0.40 mm.",
  observation: null,
  remedies: [
    {
      ...{ act: "amend", target: "quantity", label: "Report the places apart", why: "" },
      fields: { places_apart: true },
    },
  ],
  zero_check: null,
  settled: false,
  without: null,
};

describe("places", () => {
  it("have a sentence each, with how many readings it rests on", () => {
    show(<Places sheet="s" quantity={quantity({ places: PLACES, places_apart: true })} />);
    const rows = [...document.querySelectorAll(".result-places div")].map((row) => row.textContent);
    expect(rows).toEqual(["rim, 2 readings(8.63 ± 0.03) mm", "no place noted, 1 reading…"]);
    expect(screen.getByRole("button", { name: "Report them together" })).toBeTruthy();
  });

  it("are offered apart where they differ for good", () => {
    show(<ResultPanel sheet="s" quantity={quantity({ places: PLACES, flags: [FLAG] })} />);
    expect(screen.getByRole("button", { name: "Report the places apart" })).toBeTruthy();
    expect(document.querySelector(".result-places")).toBeNull();
  });

  it("stand before the result of all once they are apart", () => {
    const apart = quantity({ places: PLACES, places_apart: true });
    show(<ResultPanel sheet="s" quantity={apart} />);
    expect(document.querySelector(".result-places")).not.toBeNull();
    expect(screen.getByTestId("sentence").textContent).toContain("all together");
  });

  it("stay together where there is nothing to keep apart", () => {
    show(<ResultPanel sheet="s" quantity={quantity({ places_apart: true })} />);
    expect(document.querySelector(".result-places")).toBeNull();
    expect(screen.getByTestId("sentence").textContent).not.toContain("all together");
  });
});

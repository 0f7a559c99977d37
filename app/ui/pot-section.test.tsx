import { render, screen } from "@testing-library/react";
import { describe, expect, test } from "vitest";
import { DEMO_VESSELS } from "~/demo/vessels";
import { PotSection, placePot, snugHeight } from "./pot-section";

const vessel = (id: string) => {
  const found = DEMO_VESSELS.find(v => v.id === id);
  if (!found) throw new Error(id);
  return found;
};

describe("the pot section is true to scale", () => {
  test("twice the level is twice as high, in every shape", () => {
    for (const pot of DEMO_VESSELS) {
      const place = placePot(pot, 400, 300, 60);
      expect(place.base - place.y(40)).toBeCloseTo(2 * (place.base - place.y(20)), 9);
      expect(2 * place.half(place.heightMm)).toBeLessThanOrEqual(280 + 1e-6);
    }
  });
  test("width and height use one scale", () => {
    const place = placePot(vessel("tall-1"), 400, 600, 60);
    expect(2 * place.half(0)).toBeCloseTo(place.base - place.y(320), 6);
  });
  test("a flared pan is narrower at its base", () => {
    const place = placePot(vessel("sauteuse-24"), 400, 300, 60);
    expect(place.half(0) / place.half(75)).toBeCloseTo(180 / 240, 9);
  });
  test("a low pot gets a low picture", () => {
    expect(snugHeight(vessel("low-36"), 352, 318, 80)).toBeLessThan(
      snugHeight(vessel("tall-1"), 352, 318, 80),
    );
    expect(snugHeight(vessel("tall-2"), 900, 318, 80)).toBe(318);
  });
  test("it says in words what it shows, and its labels do not lie on one another", () => {
    render(
      <PotSection
        vessel={vessel("tall-1")}
        levelMm={120}
        liquid={{ dissolvedPct: 2, fatPct: 0, waterPct: 98 }}
        ghosts={[
          { levelMm: 122, label: "cover 122" },
          { levelMm: 121, label: "simmer 121" },
        ]}
        mark={{ levelMm: 40, label: "40 mm" }}
        stick
        width={352}
        height={318}
        title="Tall pot No 1, mark at 40 mm"
      />,
    );
    expect(screen.getByRole("img", { name: "Tall pot No 1, mark at 40 mm" })).toBeTruthy();
    expect(screen.getByText("40 mm")).toBeTruthy();
    const [a, b] = ["cover 122", "simmer 121"].map(text => Number(screen.getByText(text).getAttribute("y")));
    expect(Math.abs((a ?? 0) - (b ?? 0))).toBeGreaterThanOrEqual(14);
  });
});

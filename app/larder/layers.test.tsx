import { render, screen } from "@testing-library/react";
import { expect, test } from "vitest";
import { NO_COMPOSITION, REFERENCE_LARDER } from "~/core/things/larder";
import { Jar } from "./jar";
import { labelHeights, layersOf, stacked } from "./layers";

test("fat on top, what is heavy below, what is not there left out", () => {
  const layers = layersOf({ ...NO_COMPOSITION, water: 60, fat: 30, salt: 2, other: 8 });
  expect(layers.map(l => l.key)).toEqual(["fat", "water", "salt", "other"]);
});
test("the layers fill the jar, whatever is in it", () => {
  for (const { id, composition } of REFERENCE_LARDER) {
    const layers = stacked(composition, 10, 200);
    expect(layers[0]?.from, id).toBe(10);
    const last = layers.at(-1);
    expect((last?.from ?? 0) + (last?.size ?? 0), id).toBeCloseTo(210, 6);
  }
});
test("labels keep apart and stay on the sheet", () => {
  for (const { id, composition } of REFERENCE_LARDER) {
    const heights = labelHeights(stacked(composition, 34, 282), 24, 320);
    heights.forEach((y, i) => {
      expect(y, id).toBeLessThanOrEqual(320);
      if (i > 0) expect(y - (heights[i - 1] ?? 0), id).toBeGreaterThanOrEqual(24 - 1e-9);
    });
  }
});
test("the jar says in words what it shows", () => {
  render(<Jar name="cream" composition={{ ...NO_COMPOSITION, water: 57, fat: 37, protein: 6 }} />);
  expect(screen.getByRole("img", { name: /cream: 37\.0 % fat, 57\.0 % water/ })).toBeTruthy();
});

import { cleanup, render, screen } from "@testing-library/react";
import { afterEach, expect, test } from "vitest";
import { openKitchen, walk } from "~/core/formula";
import type { Seasoned } from "~/core/run";
import { DEMO_KITCHEN } from "~/demo/kitchen";
import { demo } from "../bench/panels/testing";
import { FirstDoses } from "./first-doses";
import { Why } from "./why";

afterEach(cleanup);

const states = walk(demo("smoked-trout-veloute"), openKitchen(DEMO_KITCHEN)).states;
const seasons = states.find(state => [...state.sources.values()].some(source => /salt$/.test(source.id)));
const saltId = [...(seasons?.sources.values() ?? [])].find(source => /salt$/.test(source.id))?.id ?? "";
const took = (...doses: number[]): Seasoned => {
  const totalG = doses.reduce((a, b) => a + b, 0);
  return {
    ingredientId: saltId,
    name: "fine salt",
    doses: doses.map(massG => ({ at: 0, personId: "noor", massG, counted: null })),
    totalG,
    sdG: 0,
    pctOfPot: 0.9,
    perLitreG: 9,
    nextFirstG: 0.9 * totalG,
  };
};
const shown = (seasoned: readonly Seasoned[], baseG = 1000) => {
  if (!seasons) throw new Error("Nothing is salted.");
  const { container } = render(
    <FirstDoses planned={seasons} before={{ baseG: 1000, seasoned }} baseG={baseG} />,
  );
  return container.textContent.replace(/[\u00a0\u202f]/g, " ");
};

test("what the last batch took is proposed at nine tenths, at the size of this one", () => {
  expect(shown([took(27.5, 5, 5, 4, 3)])).toMatch(
    /it took 4\d(?:\.\d)? g fine salt .*40(?:\.\d)? g first, then taste/,
  );
  cleanup();
  expect(shown([took(27.5, 5, 5, 4, 3)], 2000)).toMatch(/it took 89(?:\.\d)? g .*80(?:\.\d)? g first/);
});
test("what went in at once, or is no part of this step, teaches nothing here", () => {
  expect(shown([took(27.5)])).toBe("");
  cleanup();
  expect(shown([{ ...took(1, 1), ingredientId: "saffron" }])).toBe("");
});

test.each([
  ["commis", true],
  ["Apprentice, second year", true],
  ["saucier", false],
])("the reason stands open for a %s: %s", (role, open) => {
  render(<Why why="A boil beats the scum in." role={role} />);
  expect(screen.getByRole("group")).toHaveProperty("open", open);
});

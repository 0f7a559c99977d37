import { cleanup, render, screen } from "@testing-library/react";
import { describe, expect, test } from "vitest";
import { EVERY_FORMULA } from "~/core/families/testing";
import { type FormulaDocument, openKitchen, walk } from "~/core/formula";
import { DEMO_KITCHEN } from "~/demo/kitchen";
import { demo, words } from "./panels/testing";
import { PotPanel, fatLayerMm, ghostLevels } from "./pot-panel";

const kitchen = openKitchen(DEMO_KITCHEN);
const panel = (document: FormulaDocument, selected: string | null = null) => {
  const walked = walk(document, kitchen);
  render(
    <PotPanel walked={walked} selected={selected} kitchen={kitchen} intervals={[]} document={document} />,
  );
  return { walked, aside: screen.getByRole("complementary", { name: "The pot" }) };
};
const NONSENSE = /NaN|undefined|null|Infinity|\[object|-\d/;

describe.each(EVERY_FORMULA)("the pot of %s", (_, document) => {
  test("after every step it can be read, with its vessel by name", () => {
    for (const { id } of document.steps) {
      const { walked, aside } = panel(document, id);
      const state = walked.states.find(s => s.step.id === id);
      expect(words(aside), state?.step.kind).not.toMatch(NONSENSE);
      if (state?.vessel) expect(words(aside)).toContain(state.vessel.name);
      cleanup();
    }
  });
  test("levels before it in the same pot are each told once; fat lies in a layer of its own", () => {
    const { states } = walk(document, kitchen);
    for (const [i, state] of states.entries()) {
      const ghosts = ghostLevels(states, i);
      const levels = [...ghosts.map(g => g.levelMm), state.levelMm ?? Infinity].sort((a, b) => a - b);
      for (let k = 1; k < levels.length; k++)
        expect((levels[k] ?? 0) - (levels[k - 1] ?? 0), state.step.kind).toBeGreaterThan(4);
      expect(fatLayerMm(state)).toBeGreaterThanOrEqual(0);
    }
  });
});

test("with no step open it is the pot where it stands highest", () => {
  const document = demo("trout-fumet");
  const { walked, aside } = panel(document);
  const highest = Math.max(...walked.states.map(s => s.levelMm ?? 0));
  const at = walked.states.findLast(s => s.levelMm === highest);
  expect(words(aside)).toContain(at?.vessel?.name);
});
test("without a step there is no pot, and nothing breaks", () => {
  const { aside } = panel({ ...demo("trout-fumet"), steps: [] });
  expect(words(aside)).not.toMatch(NONSENSE);
});

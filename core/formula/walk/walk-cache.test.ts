import { describe, expect, test } from "vitest";
import { DEMO_FORMULAS, GLACE_ID, STOCK_ID } from "../../../demo/formulas";
import { DEMO_KITCHEN } from "../../../demo/kitchen";
import { FACTS, FACT_IDS } from "../../ground/facts";
import { FactWatch } from "./fact-watch";
import { openKitchen, withMoved } from "./kitchen";
import { walk } from "./walk";
import { WalkCache } from "./walk-cache";
import type { Walk } from "./walked";

/** All that a walk says in numbers, to six digits: amounts that look ahead are found, not given. */
const said = ({ states, problems }: Walk) => ({
  problems,
  states: states.map(({ massG, clockS, temperatureC, levelMm, body, pot, mark }) =>
    JSON.stringify({ massG, clockS, temperatureC, levelMm, body, pot, mark }, (_, value: unknown) =>
      typeof value === "number" ? Number(value.toPrecision(6)) : value,
    ),
  ),
});

describe("a walk with one fact moved that takes over what never read it", () => {
  const opened = openKitchen(DEMO_KITCHEN);
  // Drawn on by one another, with amounts that look ahead, reductions, bones, an emulsion.
  test.each([STOCK_ID, GLACE_ID, "smoked-trout-veloute", "walnut-oil-mayonnaise"])("%s", id => {
    const document = DEMO_FORMULAS[id];
    if (!document) throw new Error(`The demo has no ${id}.`);
    const watch = new FactWatch(opened.facts);
    const cache = new WalkCache(watch);
    const kitchen = { ...opened, facts: watch.facts };
    walk(document, kitchen, { cache });
    const reads = new Set([
      ...cache.productReads(),
      ...document.steps.flatMap(s => [...cache.readsOf(s.id)]),
    ]);
    expect(reads.size).toBeGreaterThan(1);
    for (const fact of FACT_IDS.filter(f => FACTS[f].lo !== FACTS[f].hi)) {
      const value = FACTS[fact].lo;
      const taken = walk(document, withMoved(kitchen, opened.facts, fact, value), {
        cache: cache.moved(fact),
      });
      // What nobody read cannot matter: that is the claim, so it is held against a walk of its own for some of them too.
      if (!reads.has(fact) && fact.length % 4) continue;
      expect(said(taken), fact).toEqual(said(walk(document, openKitchen(DEMO_KITCHEN, { [fact]: value }))));
    }
  });
});

import { render, screen, within } from "@testing-library/react";
import type { ComponentProps } from "react";
import { createRoutesStub } from "react-router";
import { describe, expect, test } from "vitest";
import { EVERY_FORMULA } from "~/core/families/testing";
import { type FormulaDocument, deltaOf, titleWithPan, openKitchen, walk } from "~/core/formula";
import { type Display, USUAL_DISPLAY } from "~/core/things/house";
import { DEMO_KITCHEN } from "~/demo/kitchen";
import { words } from "../bench/panels/testing";
import { KitchenContext } from "../kitchen/context";
import Card from "./card";
import { multiply } from "~/core/formula/scaling/multiply";

const AT_HAND = { snapshot: { ...DEMO_KITCHEN, demo: true, revision: 1 }, madeHere: {} };

type Loaded = ComponentProps<typeof Card>["loaderData"];

/** The card of a formula as the Book shows it, without limits and batches. */
function card(document: FormulaDocument, factor = 1, display: Display = USUAL_DISPLAY) {
  const sized = multiply(document, factor);
  const loaderData: Loaded = {
    basis: deltaOf(DEMO_KITCHEN, DEMO_KITCHEN),
    asOfToday: false,
    since: [],
    version: {
      versionId: "v",
      number: 3,
      state: "trial",
      document: sized,
      editedBy: "Noor Adeyi",
      editedAt: new Date(Date.UTC(2026, 10, 23, 9)),
    } as unknown as Loaded["version"],
    baseG: sized.base.massG,
    asked: null,
    refusals: [],
    columns: [],
    columnsAsked: null,
    printed: null,
    code: { size: 1, path: "M0 0h1v1h-1z" },
    learning: true,
    lastVersion: { number: 2, changes: ["salt: 10 g → 12 g"] },
    cost: null,
    batches: [],
    tastings: [],
    times: 1,
    intervals: [],
    signatures: [],
    standard: null,
    ready: null,
    maySign: true,
    display,
  };
  const props = { loaderData } as unknown as ComponentProps<typeof Card>;
  const Stub = createRoutesStub([
    {
      path: "/",
      Component: () => (
        <KitchenContext value={AT_HAND}>
          <Card {...props} />
        </KitchenContext>
      ),
    },
  ]);
  render(<Stub />);
  return { sized, article: screen.getByRole("article"), walked: walk(sized, openKitchen(DEMO_KITCHEN)) };
}

const NONSENSE = /NaN|undefined|null|Infinity|\[object|-\d|\(\)|, ,| {2}%/;

describe.each(EVERY_FORMULA)("the card of %s", (_, document) => {
  test.each([0.25, 1, 3])("at %d times its size every word of it can be read", factor => {
    const { article } = card(document, factor);
    expect(words(article)).not.toMatch(NONSENSE);
    for (const title of article.querySelectorAll("svg title")) expect(words(title)).not.toMatch(NONSENSE);
  });
  test("every step stands on it in its order, with every line and its grams", () => {
    const { article, walked } = card(document);
    const list = within(article).getAllByRole("list")[0];
    const steps = [...(list?.children ?? [])];
    expect(steps).toHaveLength(walked.states.length);
    for (const [i, state] of walked.states.entries()) {
      const text = words(steps[i] ?? null);
      const title = titleWithPan(
        state.step,
        state.lines.map(l => l.name),
      );
      expect(text).toContain(`${i + 1}${title}`.replace(/\s+/g, " "));
      for (const line of state.lines) expect(text, title).toContain(line.name);
      const amounts = [...(steps[i]?.querySelectorAll("dl dd") ?? [])].map(words);
      expect(amounts.length, title).toBeGreaterThanOrEqual(state.lines.length);
      for (const amount of amounts) expect(amount, title).toMatch(/^[\d ]+(\.\d+)? (g|kg)( \(assumed\))?$/);
    }
  });
  test("what it carries is told: allergens, keeping, and that the local code is followed", () => {
    const { article } = card(document);
    const text = words(article);
    expect(text).toMatch(/Allergens recorded.+Cross-contact in the kitchen is not seen here/);
    expect(text).toMatch(/\d+ days? at -?\d+ °C, day of making is day 1/);
    expect(text).toContain("Follow your local food code.");
  });
  test("in pounds and ounces no gram is left among the amounts", () => {
    const { article } = card(document, 1, { units: "us", roundG: 1 });
    for (const dd of article.querySelectorAll("ol dl dd"))
      expect(words(dd)).toMatch(/(lb|oz|tsp|tbsp|fl oz|cup|a trace)/);
    // No degree Celsius either, wherever it stands; nothing that was weighed is nought.
    expect(words(article)).not.toContain("°C");
    expect(words(article)).not.toMatch(/(?<![\d.])0 (?:oz|lb|tsp)/);
  });
});

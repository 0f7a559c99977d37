import { expect, test } from "vitest";
import { emulsionOnLine, walk } from "~/core/formula";
import { acidityEstimate } from "~/core/laws/emulsion";
import { demo, kitchen } from "~/core/formula/walk/testing";
import { sheetsThatSpeak } from "./sheets-that-speak";

test.each([
  ["verjus-butter-sauce", { emulsion: true, puree: false }],
  ["walnut-oil-mayonnaise", { emulsion: true, puree: false }],
  ["salsify-puree", { emulsion: false, puree: true }],
  ["guinea-fowl-brown-stock", { emulsion: false, puree: false, binding: false }],
  ["smoked-trout-veloute", { binding: true, puree: false }],
])("the sheets offered for %s are those that have something to say of it", (id, speak) => {
  const document = demo(id);
  expect(sheetsThatSpeak(document, walk(document, kitchen), kitchen)).toMatchObject(speak);
});

test("a mounted butter sauce is as sour as its wine and verjus make it, not neutral", () => {
  const found = emulsionOnLine(walk(demo("verjus-butter-sauce"), kitchen), kitchen.facts);
  expect(found?.way).toBe("mounted");
  expect(found && found.input.oilG / found.state.massG).toBeGreaterThan(0.3);
  const pH = found && acidityEstimate(found.acidity);
  expect(pH?.ok && pH.value.value).toBeLessThan(4.2);
  expect(pH?.ok && pH.value.value).toBeGreaterThan(2.5);
});

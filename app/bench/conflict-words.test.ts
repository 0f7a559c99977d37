import { describe, expect, test } from "vitest";
import {
  type FormulaDocument,
  mergeDocuments,
  openKitchen,
  removeLine,
  removeStep,
  updateLine,
  updateStep,
} from "~/core/formula";
import { EVERY_FORMULA } from "~/core/families/testing";
import { valueOf } from "~/core/ground/result";
import { GLACE_ID, STOCK_ID } from "~/demo/formulas";
import { DEMO_KITCHEN } from "~/demo/kitchen";
import { conflictWords } from "./conflict-words";
import { demo } from "./panels/testing";

const kitchen = openKitchen(DEMO_KITCHEN);
const stock = demo(STOCK_ID);
const glace = demo(GLACE_ID);
const plain = (text: string) => text.replace(/[\u00a0\u202f]/g, " ");
/** What two cooks are asked who both changed this. */
function asked(base: FormulaDocument, mine: FormulaDocument, theirs: FormulaDocument) {
  const { conflicts } = valueOf(mergeDocuments(base, mine, theirs));
  return conflicts
    .map(c => conflictWords(c, { mine, theirs }, kitchen))
    .map(w => ({ where: plain(w.where), mine: plain(w.mine), theirs: plain(w.theirs) }));
}
const stepOf = (kind: string, document = stock) => document.steps.find(s => s.kind === kind)?.id ?? "";

describe("what two cooks are asked, in their own words", () => {
  test("an amount: the line by its name, both as they would be typed", () => {
    const to = (parts: number) =>
      updateLine(stock, "onion", { amount: { kind: "part", group: "mirepoix", parts } });
    expect(asked(stock, to(3), to(4))).toEqual([
      { where: expect.stringMatching(/: onion: amount$/) as string, mine: "3 parts", theirs: "4 parts" },
    ]);
  });
  test("a time in minutes and hours, a temperature in degrees, a choice by its words, a pot by its name", () => {
    const simmer = stepOf("simmer");
    const both = (mine: object, theirs: object, id = simmer, of = stock) =>
      asked(of, updateStep(of, id, mine as never), updateStep(of, id, theirs as never))[0];
    expect(both({ durationMin: 300 }, { durationMin: 20 })).toMatchObject({
      where: expect.stringMatching(/: Time$/) as string,
      mine: "5 h",
      theirs: "20 min",
    });
    expect(both({ holdC: 85 }, { holdC: 92 })).toMatchObject({ mine: "85 °C", theirs: "92 °C" });
    expect(both({ surface: "stirred" }, { surface: "fat-layer" })).toMatchObject({
      mine: "clear and stirred",
      theirs: "unbroken fat",
    });
    expect(both({ setting: 0.4 }, { setting: 0.8 })).toMatchObject({ mine: "40 %", theirs: "80 %" });
    expect(both({ cue: "trembles" }, { cue: "smiles" })).toMatchObject({
      where: expect.stringMatching(/it is there when$/) as string,
      mine: "trembles",
    });
    const reduce = stepOf("reduce", glace);
    expect(both({ target: { to: 0.25 } }, { target: { by: 0.5 } }, reduce, glace)?.mine).toMatch(
      /to a quarter|25 %/,
    );
    expect(both({ vesselId: "saucepan-24" }, { vesselId: "low-36" }, reduce, glace)).toMatchObject({
      mine: "Saucepan 24",
      theirs: "Low pot 36",
    });
  });
  test("the base by its weight", () => {
    const of = (massG: number) => ({ ...stock, base: { ...stock.base, massG } });
    expect(asked(stock, of(9000), of(12_000))).toEqual([
      { where: "base: weight", mine: "9 000 g", theirs: expect.stringMatching(/^12[ .]0/) as string },
    ]);
  });
  test("one took away what the other changed: it says removed, and what it was", () => {
    const changed = updateLine(stock, "onion", { amount: { kind: "part", group: "mirepoix", parts: 3 } });
    const [line] = asked(stock, removeLine(stock, "onion"), changed);
    expect(line).toMatchObject({ mine: "removed", theirs: "onion, 3 parts" });
    expect(line?.where).toMatch(/: onion$/);
    const [step] = asked(
      stock,
      updateStep(stock, stepOf("simmer"), { durationMin: 300 }),
      removeStep(stock, stepOf("simmer")),
    );
    expect(step?.theirs).toBe("removed");
    expect(step?.mine).toMatch(/^[A-Z].{3,}/);
  });
});

describe.each(EVERY_FORMULA)("whatever of %s two cooks change", (_, document) => {
  test("no key of the document and no id is read to them", () => {
    const change = (by: number): FormulaDocument => ({
      ...document,
      portionG: document.portionG + by,
      steps: document.steps.map(step => ({
        ...step,
        ...("durationMin" in step && { durationMin: (step.durationMin ?? 10) + by }),
        ...("setting" in step && { setting: 0.1 * by }),
        ...("toC" in step && { toC: (step.toC ?? 0) - by }),
        ...("holdC" in step && { holdC: step.holdC - by }),
        remark: `by ${by}`,
        lines: step.lines.map(line => ({ ...line, amount: { kind: "fixed" as const, massG: 100 * by } })),
      })) as FormulaDocument["steps"],
    });
    const [mine, theirs] = [change(1), change(2)];
    const words = asked(document, mine, theirs);
    expect(words.length).toBeGreaterThan(document.steps.length);
    for (const { where, mine: my, theirs: their } of words) {
      expect(where).not.toMatch(/durationMin|holdC|toC|setting|massG|vesselId|-line|undefined|steps/);
      for (const said of [my, their]) expect(said).not.toMatch(/undefined|NaN|\[object|kind |massG/);
      expect(my).not.toBe(their);
    }
  });
});

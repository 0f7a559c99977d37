import { fc, test as property } from "@fast-check/vitest";
import { describe, expect, test } from "vitest";
import { EVERY_FORMULA } from "../../families/testing";
import { valueOf } from "../../ground/result";
import {
  type AmountRelation,
  type FormulaDocument,
  type Step,
  linesOf,
  namesIn,
  parseLine,
  parseRelation,
  relationAsTyped,
  relationInWords,
  walk,
} from "..";
import { adding, blank, fixed, kitchen, line, share } from "../walk/testing";

/** 10 kg of bones, and wine, soy and onions beside them. */
const document: FormulaDocument = {
  ...blank(
    10_000,
    [
      adding([
        line("bones", "veal-bones", share(100)),
        line("wine", "red-wine", share(8)),
        line("soy", "soy-sauce", fixed(120)),
      ]),
      {
        ...adding([line("onion", "onion", { kind: "part", group: "mirepoix", parts: 2 })]),
        id: "b",
      } as Step,
    ],
    [{ id: "mirepoix", name: "mirepoix", total: { kind: "share-of-base", pct: 12 } }],
  ),
  base: { name: "bones", massG: 10_000 },
};
const read = (text: string, of = "butter", inDocument = document) =>
  parseRelation(text, {
    document: inDocument,
    ingredient: kitchen.ingredientById.get(of) ?? null,
    larder: kitchen.data.ingredients,
    field: "f",
  });
const relation = (text: string, of?: string): AmountRelation => valueOf(read(text, of)).relation;
const refused = (text: string, of?: string, inDocument?: FormulaDocument) => {
  const answer = read(text, of, inDocument);
  expect(answer.ok, text).toBe(false);
  return answer.ok ? undefined : answer.problems[0];
};

describe("a share of the base, or of a line that is named", () => {
  test.each([
    ["12 % of bones", share(12)],
    ["12 % of the bones", share(12)],
    ["12 percent of the veal bones", share(12)],
    ["8 g/kg bones", share(0.8)],
    ["8 g per kg of the bones", share(0.8)],
    ["12 % of the wine", { kind: "equal-to", line: "wine", factor: 0.12 }],
    ["12 % of red wine", { kind: "equal-to", line: "wine", factor: 0.12 }],
    ["5 g per kg of soy sauce", { kind: "equal-to", line: "soy", factor: 0.005 }],
    // What is neither in the formula is the base by another name: it is read back as such.
    ["12 % of the carcasses", share(12)],
  ] as const)("%s", (text, wanted) => {
    const found = relation(text);
    expect(found.kind).toBe(wanted.kind);
    for (const [key, value] of Object.entries(wanted))
      if (typeof value === "number") expect(found[key as "kind"]).toBeCloseTo(value, 9);
      else expect(found[key as "kind"]).toBe(value);
  });
  test("and it comes to that share: 12 % of 800 g of wine is 96 g", () => {
    const gastrique = {
      ...document,
      steps: [
        ...document.steps,
        { ...adding([line("sugar", "sugar", relation("12 % of the wine"))]), id: "c" } as Step,
      ],
    };
    const sugar = walk(gastrique, kitchen)
      .states.flatMap(s => s.lines)
      .find(l => l.lineId === "sugar");
    expect(sugar?.massG).toBeCloseTo(96, 6);
  });
});

describe("as much as another line", () => {
  test.each([
    ["same as the soy sauce", 1],
    ["as much as soy sauce", 1],
    ["equal to soy sauce", 1],
    ["= soy sauce", 1],
    ["half the soy sauce", 0.5],
    ["twice the soy sauce", 2],
    ["double the soy sauce", 2],
    ["a third of the soy sauce", 1 / 3],
    ["1.5 × soy sauce", 1.5],
    ["2 times the soy sauce", 2],
  ])("%s", (text, factor) => expect(relation(text)).toEqual({ kind: "equal-to", line: "soy", factor }));
  test("a line that is not there is refused by its name", () =>
    expect(refused("same as the saffron")).toMatchObject({
      code: "UNKNOWN_ID",
      message: expect.stringContaining("“saffron”") as string,
    }));
  test("it is said with the name of that line, wherever it stands", () => {
    const of = { kind: "equal-to", line: "wine", factor: 0.5 } as const;
    expect(relationInWords(of, namesIn(document, undefined, kitchen))).toBe("0.5 × the red wine");
    expect(relationInWords(of, namesIn(document, walk(document, kitchen).states[0]))).toBe(
      "0.5 × the red wine",
    );
    expect(relationInWords({ ...of, factor: 1 }, namesIn(document))).toBe("as much as the other line");
  });
});

describe("to reach, by feel, per", () => {
  test.each([
    ["to 0.8 % salt", { kind: "to-reach", what: "salt", value: 0.8 }],
    ["to 0.8 percent of salt", { kind: "to-reach", what: "salt", value: 0.8 }],
    ["to 0,3 % acidity", { kind: "to-reach", what: "acid", value: 0.3 }],
    ["to 7 % fat", { kind: "to-reach", what: "fat", value: 7 }],
    ["to 30 °Bx", { kind: "to-reach", what: "brix", value: 30 }],
    ["to 30 brix", { kind: "to-reach", what: "brix", value: 30 }],
    ["60 g a litre", { kind: "per-litre", gPerL: 60 }],
    ["60 g/l finished", { kind: "per-litre", gPerL: 60 }],
    ["8 g/kg", { kind: "per-kg", gPerKg: 8 }],
    ["8 g per kg finished", { kind: "per-kg", gPerKg: 8 }],
    ["5 g a portion", { kind: "per-portion", gPerPortion: 5 }],
    ["5 g per cover", { kind: "per-portion", gPerPortion: 5 }],
    ["½ part", { kind: "part", group: "mirepoix", parts: 0.5 }],
  ])("%s", (text, wanted) => expect(relation(text)).toEqual(wanted));
  test.each(["by feel", "to taste", "by eye", "as needed"])("%s is an assumption, and nothing yet", text => {
    const found = valueOf(read(text));
    expect(found).toMatchObject({ certainty: "assumed", relation: { kind: "by-feel", massG: 0 } });
  });
  test("by feel with a weight keeps the weight, a knob too", () => {
    expect(relation("by feel, about 3 g")).toEqual({ kind: "by-feel", massG: 3 });
    expect(relation("to taste (a knob)", "butter")).toEqual({ kind: "by-feel", massG: 15 });
  });
  test.each([
    ["10–15 %", 12.5],
    ["10 to 15 %", 12.5],
    ["about 12 %", 12],
  ])("%s is the middle of it, assumed", (text, pct) =>
    expect(valueOf(read(text))).toEqual({
      relation: share(pct),
      certainty: "assumed",
      typed: text,
    }),
  );
  test.each([
    ["to 0 % salt", "NEGATIVE"],
    ["to 120 % salt", "NEGATIVE"],
    ["-3 %", "NEGATIVE"],
    ["15–10 %", "NOT_UNDERSTOOD"],
    ["12 of 3 %", "NOT_UNDERSTOOD"],
    ["0 parts", "NEGATIVE"],
    ["-5 g/l", "NEGATIVE"],
    ["-2 % of the bones", "NEGATIVE"],
  ])("%s is refused", (text, code) => {
    const problem = refused(text);
    expect(problem?.code).toBe(code);
    expect(problem?.message).toMatch(/.{12,}\.$/);
  });
  test("parts without a group are asked for what they are of", () =>
    expect(refused("2 parts", "onion", { ...document, groups: [] })?.message).toMatch(/Parts of what\?/));
});

describe("a whole line as it is said", () => {
  const whole = (text: string) =>
    parseLine(text, {
      document,
      larder: kitchen.data.ingredients,
      formulas: kitchen.data.formulas,
      field: "line",
    });
  test.each([
    ["12 % of the wine sugar", "sugar", "equal-to"],
    ["sugar, 12 % of the wine", "sugar", "equal-to"],
    ["sugar 8 g per kg of bones", "sugar", "share-of-base"],
    ["12 % of onion", "onion", "share-of-base"],
    ["thyme, by feel", "thyme", "by-feel"],
    ["a knob of butter", "butter", "fixed"],
  ])("%s", (text, of, kind) => {
    const found = valueOf(whole(text));
    expect(found.of).toEqual({ larder: expect.stringMatching(of) as string });
    expect(found.relation.kind).toBe(kind);
  });
  test("what the larder lacks is asked for, with the nearest", () => {
    const near = whole("200 g unoin");
    expect(near.ok ? "" : near.problems[0]?.message).toMatch(/Did you mean .*onion/);
    const far = whole("200 g qwrtzplk");
    expect(far.ok ? "" : far.problems[0]?.message).toMatch(/enter it in the larder first/);
  });
});

describe("what stands in a field, typed again, is the same", () => {
  test.each(EVERY_FORMULA)("%s", (_, formula) => {
    const { states } = walk(formula, kitchen);
    for (const { sources, lines } of states)
      for (const { lineId } of lines) {
        const own = linesOf(formula).find(l => l.id === lineId);
        if (!own) throw new Error("A line is gone.");
        const text = relationAsTyped(own.amount, id => sources.get(id)?.name);
        const again = parseRelation(text, {
          document: formula,
          ingredient: sources.get(lineId) ?? null,
          ...(own.amount.kind === "part" && { inGroup: own.amount.group }),
          larder: kitchen.data.ingredients,
          field: "f",
        });
        if (!again.ok) throw new Error(`${text}: ${again.problems[0]?.message}`);
        const [was, is] = [own.amount, again.value.relation];
        expect(is.kind, text).toBe(was.kind);
        for (const [key, value] of Object.entries(was))
          if (typeof value === "number") expect(is[key as "kind"], text).toBeCloseTo(value, 2);
          else expect(is[key as "kind"], text).toBe(value);
      }
  });
  const amount = fc.integer({ min: 1, max: 50_000 }).map(x => x / 100);
  property.prop([
    fc.oneof(
      amount.map((massG): AmountRelation => ({ kind: "fixed", massG })),
      amount.map((pct): AmountRelation => ({ kind: "share-of-base", pct })),
      amount.map((gPerL): AmountRelation => ({ kind: "per-litre", gPerL })),
      amount.map((gPerKg): AmountRelation => ({ kind: "per-kg", gPerKg })),
      amount.map((gPerPortion): AmountRelation => ({ kind: "per-portion", gPerPortion })),
      amount.map((parts): AmountRelation => ({ kind: "part", group: "mirepoix", parts })),
      amount.map((factor): AmountRelation => ({ kind: "equal-to", line: "soy", factor })),
      fc
        .record({
          what: fc.constantFrom(
            "salt" as const,
            "sugar" as const,
            "acid" as const,
            "fat" as const,
            "brix" as const,
          ),
          value: fc.integer({ min: 1, max: 9900 }).map(x => x / 100),
        })
        .map((of): AmountRelation => ({ kind: "to-reach", ...of })),
      amount.map((massG): AmountRelation => ({ kind: "by-feel", massG })),
    ),
  ])("any relation", of => {
    expect(relation(relationAsTyped(of, () => "soy sauce"))).toEqual(of);
  });
});

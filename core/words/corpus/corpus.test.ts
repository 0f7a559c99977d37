import { describe, expect, test } from "vitest";
import { usualKitchen } from "../../formula";
import { verbCalled } from "../lexicon/verbs";
import { FILLER } from "../lexicon/words";
import { plainText } from "../text/plain-text";
import { readOut } from "..";
import open from "./open.json";
import own from "./own.json";
import unseen from "./unseen.json";
import { type Asked, scoreOf } from "./score";

/**
 * Recipes as cooks write and say them, with what each must become. `open` is by another hand; `unseen` was written before
 * the reader and is only counted; `own` are the house's, in constructions of their own. The floors are what the reader reaches; a rule that lowers one has to go. What
 * a recipe's author thought unknown, the larder may know by now: then it is a line and no question.
 */
const CORPORA: readonly (readonly [name: string, recipes: readonly Asked[], floor: Floor])[] = [
  ["open", open as unknown as readonly Asked[], { right: 0.95, ends: 0.9, asked: 0.9, walks: 1, silent: 4 }],
  [
    "unseen",
    unseen as unknown as readonly Asked[],
    { right: 0.85, ends: 0.7, asked: 0.6, walks: 0.85, silent: 4 },
  ],
  ["own", own as unknown as readonly Asked[], { right: 0.9, ends: 0.85, asked: 0.6, walks: 0.95, silent: 9 }],
];
interface Floor {
  readonly right: number;
  readonly ends: number;
  readonly asked: number;
  readonly walks: number;
  readonly silent: number;
}

const KITCHEN = usualKitchen();

describe.each(CORPORA)("the %s recipes", (_name, recipes, floor) => {
  const read = recipes.map(recipe => ({ recipe, answer: readOut(recipe.text, KITCHEN) }));
  const scores = read.map(({ recipe, answer }) => ({ id: recipe.id, ...scoreOf(recipe, answer) }));
  const sum = (of: (s: (typeof scores)[number]) => number) => scores.reduce((n, s) => n + of(s), 0);
  test("things, ends and questions", () => {
    expect(sum(s => s.right) / sum(s => s.things)).toBeGreaterThanOrEqual(floor.right);
    expect(sum(s => s.endsRight) / sum(s => s.ends)).toBeGreaterThanOrEqual(floor.ends);
    expect(
      sum(s => s.asked) /
        Math.max(
          1,
          sum(s => s.asks),
        ),
    ).toBeGreaterThanOrEqual(floor.asked);
  });
  test("nothing is wrong without a word, but for what is known and open", () =>
    expect(scores.flatMap(s => s.silent.map(name => `${s.id}: ${name}`)).length).toBeLessThanOrEqual(
      floor.silent,
    ));
  test("they walk to the end", () =>
    expect(scores.filter(s => s.walks).length / scores.length).toBeGreaterThanOrEqual(floor.walks));
  test("at most one question for three pieces", () => {
    const asks = read.reduce(
      (n, { answer }) => n + answer.pieces.reduce((m, p) => m + p.questions.length + p.doubts.length, 0),
      0,
    );
    expect(asks / read.reduce((n, { answer }) => n + answer.pieces.length, 0)).toBeLessThan(0.5);
  });
  test("every word of a text is accounted for, once, in its order", () => {
    for (const { recipe, answer } of read) {
      // Of recipe data its words are read, not its marks.
      const words = plainText(recipe.text).match(/\p{L}+|\d+/gu) ?? [];
      const told = answer.words.flatMap(word => word.text.match(/\p{L}+|\d+/gu) ?? []);
      expect(told.join(" "), recipe.id).toBe(words.join(" "));
    }
  });
  test("no number is filler", () => {
    for (const { recipe, answer } of read)
      expect(
        answer.words.filter(w => w.as === "filler" && /\d/.test(w.text)),
        recipe.id,
      ).toEqual([]);
  });
});

test("the closed list of filler holds no verb of the stove", () =>
  expect(
    [...FILLER].filter(word => verbCalled(word) !== null && !/^(?:let|lets|letting)$/.test(word)),
  ).toEqual([]));

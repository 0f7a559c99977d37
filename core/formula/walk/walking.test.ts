import { fc, test as property } from "@fast-check/vitest";
import { describe, expect, test, vi } from "vitest";
import { g } from "../../ground/quantity";
import { WalkCache, beginWalk, walk, atSize } from "..";
import { adding, blank, fixed, kitchen, line, share, stock } from "./testing";

/** The demo stock without what is counted on its yield. */
const plain = {
  ...stock,
  steps: stock.steps.map(step => ({
    ...step,
    lines: step.lines.filter(l => l.amount.kind !== "per-litre"),
  })) as typeof stock.steps,
};

/** The index of every step that is worked out while something is done. */
const workedOut = (work: (onStep: (index: number) => void) => void): number[] => {
  const seen: number[] = [];
  work(index => seen.push(index));
  return seen;
};

describe("a walk that goes as far as it is looked at", () => {
  property.prop([fc.integer({ min: 0, max: plain.steps.length - 1 })])(
    "knows of every step what the whole walk knows, and works out no step behind it",
    index => {
      const whole = walk(plain, kitchen).states[index];
      const seen = workedOut(onStep => {
        const state = beginWalk(plain, kitchen, { onStep }).at(index);
        expect(state?.pot).toEqual(whole?.pot);
        expect(state?.clockS).toBe(whole?.clockS);
        expect(state?.cost).toBe(whole?.cost);
        expect(state?.body).toEqual(whole?.body);
      });
      expect(seen).toEqual(Array.from({ length: index + 1 }, (_, i) => i));
    },
  );
  test("asked again, or for the whole, it goes on where it stands", () => {
    const seen = workedOut(onStep => {
      const walking = beginWalk(plain, kitchen, { onStep });
      const third = walking.at(2);
      expect(walking.at(0)).toBeDefined();
      expect(walking.at(2)).toBe(third);
      expect(walking.whole().states[2]?.pot).toBe(third?.pot);
      expect(walking.whole()).toBe(walking.whole());
    });
    expect(seen).toEqual(plain.steps.map((_, i) => i));
  });
  test("an amount that looks ahead to the yield needs the whole line before its first step", () => {
    const perLitre = line("salt", "salt", { kind: "per-litre", gPerL: 8 });
    const document = blank(1000, [
      adding([line("w", "water", share(200)), perLitre]),
      { id: "r", kind: "reduce", lines: [], target: { to: 0.5 }, setting: 1, overlap: 1 },
    ]);
    const walking = beginWalk(document, kitchen);
    const whole = walk(document, kitchen);
    const salt = walking.at(0)?.lines.find(l => l.lineId === "salt");
    expect(salt?.massG).toBeCloseTo((8 * whole.finishedMl) / 1000, 6);
  });
  test("where a step cannot be done there is no state, and the whole says why", () => {
    const document = blank(1000, [
      adding([line("w", "water", fixed(500))]),
      { ...adding([line("g", "glue", fixed(10))]), id: "b" },
    ]);
    const walking = beginWalk(document, kitchen);
    expect(walking.at(1)).toBeUndefined();
    expect(walking.whole().problems.map(p => p.code)).toEqual(["UNKNOWN_ID"]);
  });
  test("what only the whole line can say is added to the states of the whole", () => {
    // Salt goes in, and a reduction to a quarter follows.
    const document = blank(1000, [
      adding([line("w", "water", fixed(4000)), line("s", "salt", fixed(30))]),
      { id: "r", kind: "reduce", lines: [], target: { to: 0.25 }, setting: 1, overlap: 1 },
    ]);
    const walking = beginWalk(document, kitchen);
    const [bare, whole] = [walking.at(0), walking.whole().states[0]];
    const said = whole?.warnings.slice(bare?.warnings.length).map(w => w.code);
    expect(said).toContain("DO_NOT_SALT_BEFORE_REDUCING");
    expect(whole).not.toBe(bare);
    expect({ ...whole, warnings: null }).toEqual({ ...bare, warnings: null });
    expect(whole?.body).toBe(bare?.body);
  });
  test("body is worked out once, and only when it is asked for", () => {
    const read = vi.fn<(id: string) => void>();
    const facts = new Proxy(kitchen.facts, {
      get(values, id) {
        if (id === "gelatinInWater") read(id);
        return Reflect.get(values, id) as number;
      },
    });
    const state = walk(stock, { ...kitchen, facts }).states.at(-1);
    expect(read).not.toHaveBeenCalled();
    expect(state?.body?.thickness).toBeGreaterThanOrEqual(0);
    const once = read.mock.calls.length;
    expect(once).toBeGreaterThan(0);
    expect(state?.body).toBe(state?.body);
    expect(read.mock.calls).toHaveLength(once);
  });
  test("with what an earlier walk worked out, only what changed is worked out again", () => {
    const cache = new WalkCache();
    const first = walk(stock, kitchen, { cache });
    const last = stock.steps.at(-1);
    if (!last) throw new Error("The stock has no steps.");
    const edited = { ...stock, steps: stock.steps.with(-1, { ...last, remark: "through muslin" }) };
    let passes = 0;
    const again = walk(edited, kitchen, { cache, onStep: index => (passes += index === 0 ? 1 : 0) });
    // Its salt is counted on the yield; from the yield of the walk before, one pass finds that nothing moves.
    expect(passes).toBe(1);
    stock.steps.slice(0, -1).forEach((_, i) => expect(again.states[i]).toBe(first.states[i]));
    expect(again.states.at(-1)).not.toBe(first.states.at(-1));
  });
  property.prop([fc.integer({ min: 2000, max: 20_000 }), fc.integer({ min: 2000, max: 20_000 })])(
    "from the yield of another size it finds the same yield as from nothing",
    (before, after) => {
      const cache = new WalkCache();
      walk(atSize(stock, g(before)), kitchen, { cache });
      const document = atSize(stock, g(after));
      const [warm, cold] = [walk(document, kitchen, { cache }), walk(document, kitchen)];
      expect(warm.finishedMl / cold.finishedMl).toBeCloseTo(1, 7);
      warm.states.forEach((state, i) =>
        state.lines.forEach((l, j) => expect(l.massG).toBeCloseTo(cold.states[i]?.lines[j]?.massG ?? 0, 4)),
      );
    },
  );
  test("another portion is another number of portions, though the yield is the same", () => {
    const perPortion = line("g", "parsley-stems", { kind: "per-portion", gPerPortion: 2 });
    const document = {
      ...blank(1000, [adding([line("w", "water", fixed(2000)), perPortion])]),
      portionG: 100,
    };
    const cache = new WalkCache();
    const herbs = (d: typeof document) => walk(d, kitchen, { cache }).states[0]?.lines[1]?.massG ?? 0;
    const many = herbs(document);
    expect(herbs({ ...document, portionG: 200 })).toBeLessThan(0.6 * many);
  });
});

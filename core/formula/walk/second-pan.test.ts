import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { POOLS, type PotState, accountedFor, potMass } from "../../things/pot";
import { fold, type RunEvent } from "../../run";
import { formulaAsRecipe, linesTable } from "../../exchange";
import { type FormulaDocument, type Step, finalState, walk } from "..";
import { STEP_KINDS, type StepKindName } from "../steps";
import { WalkCache } from "./walk-cache";
import { blank, fixed, kitchen, line } from "./testing";

const step = <K extends StepKindName>(kind: K, id: string, change: object = {}): Step =>
  ({ ...STEP_KINDS[kind].blank(id), ...change }) as Step;
const adds = (id: string, of: readonly [string, number][], change: object = {}): Step =>
  step("add", id, {
    lines: of.map(([larder, massG], i) => line(`${id}${i}`, larder, fixed(massG))),
    ...change,
  });

/** A stock simmers, cream is reduced beside it and comes in. */
const creamApart = (share = 1): FormulaDocument =>
  blank(1000, [
    adds("stock", [["house-chicken-stock", 1500]]),
    adds("cream", [["cream", 600]], { pan: "cream pan" }),
    step("reduce", "thick", { pan: "cream pan", target: { to: 0.5 } }),
    step("simmer", "long", { durationMin: 90 }),
    step("bring", "in", { from: "Cream pan".toLowerCase(), share }),
  ]);

/** Mushrooms cooked in the pot are lifted, fried dry and come back to their liquor. */
const mushroomsFried: FormulaDocument = blank(1000, [
  adds("all", [
    ["mushroom", 500],
    ["house-chicken-stock", 800],
  ]),
  step("simmer", "soft", { durationMin: 15 }),
  step("lift", "out", { what: "everything solid", to: "mushroom pan" }),
  adds("fat", [["butter", 30]], { pan: "mushroom pan" }),
  step("reduce", "liquor", { target: { to: 0.5 } }),
  step("bring", "back", { from: "mushroom pan" }),
]);

const closed = (pot: PotState) => {
  const all = accountedFor(pot);
  for (const pool of POOLS) expect(all[pool]).toBeCloseTo(pot.entered[pool], 6);
};

/** Pots as they stand at the end, by name; "" is the main one. */
const potsAtEnd = (document: FormulaDocument) => {
  const pots = new Map<string, PotState>();
  for (const state of walk(document, kitchen).states) {
    pots.set(state.step.pan ?? "", state.pot);
    const other = STEP_KINDS[state.step.kind].touches?.(state.step as never);
    if (state.elsewhere && other !== null && other !== undefined) pots.set(other, state.elsewhere.pot);
  }
  return pots;
};

describe("two pans", () => {
  test("whatever is brought in of it: over all vessels what went in is what is there and what left", () => {
    fc.assert(
      fc.property(fc.double({ min: 0.05, max: 1, noNaN: true }), share => {
        const pots = potsAtEnd(creamApart(share));
        let entered = 0;
        for (const pot of pots.values()) {
          closed(pot);
          entered += POOLS.reduce((sum, pool) => sum + pot.entered[pool], 0);
        }
        expect(entered).toBeCloseTo(2100, 4);
      }),
      { numRuns: 12 },
    );
  });

  test("each stands in a vessel of its own, over a burner of its own", () => {
    const { states, problems } = walk(creamApart(), kitchen);
    expect(problems).toEqual([]);
    const thick = states[2];
    const long = states[3];
    expect(thick?.vessel?.id).not.toBe(long?.vessel?.id);
    expect(thick?.fire?.burner.id).not.toBe(kitchen.burner?.id);
  });

  test("they run side by side: the line takes as long as the longer of the two", () => {
    const { states, totalS } = walk(creamApart(), kitchen);
    const [stock, , , long, back] = states;
    expect(long?.clockS).toBe((stock?.clockS ?? 0) + (long?.durationS ?? 0));
    expect(totalS).toBe((long?.clockS ?? 0) + (back?.durationS ?? 0));
  });

  test("lifted out and back: what the mushrooms took along comes back with them, and nothing stays behind", () => {
    const pots = potsAtEnd(mushroomsFried);
    for (const pot of pots.values()) closed(pot);
    expect(potMass(pots.get("mushroom pan") as PotState)).toBeCloseTo(0, 9);
    const { states } = walk(mushroomsFried, kitchen);
    expect(finalState(states)?.pot.solids.map(part => part.name)).toEqual(["button mushrooms"]);
  });

  test("what is left in a pan is said where it stays", () => {
    const { states } = walk(creamApart(0.5), kitchen);
    expect(states.flatMap(s => s.warnings).filter(w => w.code === "LEFT_IN_PAN")).toHaveLength(1);
    expect(walk(creamApart(1), kitchen).states.flatMap(s => s.warnings.map(w => w.code))).not.toContain(
      "LEFT_IN_PAN",
    );
  });

  test("an empty pan has nothing to bring in, and says which", () => {
    const document = blank(1000, [adds("a", [["water", 500]]), step("bring", "in", { from: "cream pan" })]);
    expect(walk(document, kitchen).problems).toMatchObject([
      { code: "EMPTY", field: "steps.1.from", message: expect.stringContaining("cream pan") },
    ]);
  });

  test("a pot in use cannot be taken for the other", () => {
    const document = blank(1000, [
      adds("a", [["water", 500]], { vesselId: "tall-2" }),
      adds("b", [["cream", 200]], { pan: "cream pan", vesselId: "tall-2" }),
    ]);
    expect(walk(document, kitchen).problems).toMatchObject([{ code: "IN_USE", field: "steps.1.vesselId" }]);
  });

  test("walked again after an edit of the main line, the pan beside it is not worked out anew", () => {
    const cache = new WalkCache();
    const document = creamApart();
    const first = walk(document, kitchen, { cache });
    const again = walk(
      {
        ...document,
        steps: document.steps.map(s => (s.id === "long" ? { ...s, durationMin: 80 } : s)) as Step[],
      },
      kitchen,
      { cache },
    );
    expect(again.states[2]?.pot).toBe(first.states[2]?.pot);
  });
});

describe("two pans at the stove", () => {
  const event = (at: number, payload: RunEvent["payload"]): RunEvent => ({
    id: `01ARZ3NDEKTSV4RRFFQ69G5F${String(at).padStart(2, "0")}`,
    at: new Date(Date.UTC(2026, 0, 1, 12, at)).toISOString(),
    clockOffsetMs: 0,
    personId: "noor",
    payload,
  });
  const run = (...payloads: RunEvent["payload"][]) =>
    fold(
      payloads.map((payload, i) => event(i, payload)),
      creamApart(),
      kitchen,
    );
  const openIds = (state: ReturnType<typeof run>) => state.open.map(i => state.steps[i]?.step.id);

  test("both pots can be worked, and what brings them together waits for both", () => {
    expect(openIds(run())).toEqual(["stock", "cream"]);
    const done = (stepId: string) => ({ kind: "step-done" as const, stepId });
    expect(openIds(run(done("stock"), done("cream")))).toEqual(["thick", "long"]);
    expect(openIds(run(done("stock"), done("cream"), done("thick")))).toEqual(["long"]);
    expect(openIds(run(done("stock"), done("cream"), done("long"), done("thick")))).toEqual(["in"]);
  });

  test("what was weighed in the second pan comes into the first", () => {
    const done = (stepId: string) => ({ kind: "step-done" as const, stepId });
    const state = run(
      done("stock"),
      done("cream"),
      { kind: "step-begun", stepId: "thick" },
      { kind: "weighed", stepId: "thick", netG: 320 },
      done("thick"),
      { kind: "step-begun", stepId: "long" },
      { kind: "weighed", stepId: "long", netG: 1400 },
      done("long"),
    );
    expect(state.steps[4]?.foreseen?.massG).toBeCloseTo(1720, 0);
  });
});

test("a card, a table and recipe data say in which pan a step is done", () => {
  const document = creamApart();
  const walked = walk(document, kitchen);
  const said = linesTable(document, walked).map(row => row.what);
  expect(said).toContain("In the cream pan: reduce to half");
  expect(JSON.stringify(formulaAsRecipe(document, walked))).toContain("In the cream pan: reduce to half");
});

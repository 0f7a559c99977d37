import { describe, expect, test } from "vitest";
import { type FormulaDocument, type Step, blankFormula, updateLine, updateStep, walk } from "~/core/formula";
import { DEMO_FORMULAS, STOCK_ID } from "~/demo/formulas";
import { DEMO_KITCHEN } from "~/demo/kitchen";
import { lineReader } from "./line-now";

const burner = DEMO_KITCHEN.defaultBurnerId;
const found = DEMO_FORMULAS[STOCK_ID];
if (!found) throw new Error("The demo stock is gone.");
const stock: FormulaDocument = found;
const reader = () => lineReader(DEMO_KITCHEN, burner, STOCK_ID);

const line = (id: string, larder: string, massG: number): Step["lines"][number] => ({
  id,
  of: { larder },
  amount: { kind: "fixed", massG },
  certainty: "stated",
});
/** Salted early, reduced to a quarter: what the whole line has something to say of. */
const salted: FormulaDocument = {
  ...blankFormula("Salted too early", { name: "water", massG: 4000 }),
  steps: [
    {
      id: "in",
      kind: "add",
      lines: [line("w", "water", 4000), line("s", "salt", 30)],
      durationMin: 1,
      vesselId: "tall-2",
    },
    { id: "down", kind: "reduce", lines: [], target: { to: 0.25 }, setting: 1, overlap: 1 },
  ],
};

describe("what the rows are drawn from", () => {
  test("every row is what the whole walk says of its step", () => {
    const now = reader()(stock);
    const { states } = walk(stock, now.kitchen, { trace: true });
    states.forEach((state, i) => {
      const row = now.row(i);
      expect(row.state?.pot).toEqual(state.pot);
      expect(row.before?.pot).toEqual(states[i - 1]?.pot);
      expect([...(row.state?.warnings ?? []), ...row.doubts]).toEqual(state.warnings);
      expect(row.problems).toEqual([]);
    });
  });
  test("a document is walked once, and its rows are the same objects again", () => {
    const lineOf = reader();
    const now = lineOf(stock);
    expect(lineOf(stock)).toBe(now);
    expect(lineOf(stock).row(1).state).toBe(now.row(1).state);
    expect(now.walked).toBe(now.walked);
  });
  test("what is still looked at is kept, however many keys are typed over it", () => {
    const lineOf = reader();
    const page = lineOf(stock);
    for (let key = 0; key < 12; key++) {
      lineOf({ ...stock, notes: `key ${key}` });
      expect(lineOf(stock)).toBe(page);
    }
  });
  test("rows above an edit stay the same objects: they need not be drawn again", () => {
    const lineOf = reader();
    const before = lineOf(stock);
    const rows = stock.steps.map((_, i) => before.row(i).state);
    const last = stock.steps.at(-1);
    const after = lineOf(updateStep(stock, last?.id ?? "", { remark: "through muslin" }));
    stock.steps.slice(0, -1).forEach((_, i) => expect(after.row(i).state).toBe(rows[i]));
    expect(after.row(stock.steps.length - 1).state).not.toBe(rows.at(-1));
  });
  test("doubts and the scale of the threads stay until the whole line is asked for", () => {
    const lineOf = reader();
    const before = lineOf(salted);
    const told = before.row(0).doubts.map(w => w.code);
    expect(told).toContain("DO_NOT_SALT_BEFORE_REDUCING");
    const most = before.largest("mass");
    const after = lineOf(updateLine(salted, "s", { amount: { kind: "fixed", massG: 1 } }));
    // The salt is right already, the warning still the old one: nothing jumps under the fingers.
    expect(after.row(0).state?.lines[1]?.massG).toBe(1);
    expect(after.row(0).doubts.map(w => w.code)).toEqual(told);
    expect(after.largest("mass")).toBe(most);
    expect(after.walked.states[0]?.warnings.map(w => w.code)).not.toContain("DO_NOT_SALT_BEFORE_REDUCING");
    expect(after.row(0).doubts).toEqual([]);
    expect(after.largest("mass")).toBeCloseTo(4.001, 6);
  });
  test("a row that is not reached says why; those before it stand", () => {
    const broken = { ...salted, steps: [...salted.steps, { ...salted.steps[0], id: "glue" } as Step] };
    const glued = {
      ...broken,
      steps: broken.steps.with(2, { ...(broken.steps[2] as Step), lines: [line("g", "glue", 5)] }),
    };
    const now = reader()(glued);
    expect(now.row(2).state).toBeUndefined();
    expect(now.row(2).problems.map(p => p.code)).toEqual(["UNKNOWN_ID"]);
    const emptied = updateStep(salted, "down", { target: { to: 1.5 } } as Partial<Step>);
    const stopped = reader()(emptied);
    expect(stopped.row(0).state).toBeDefined();
    expect(stopped.row(0).problems).toEqual([]);
    expect(stopped.row(1).state).toBeUndefined();
    expect(stopped.row(1).problems.length).toBeGreaterThan(0);
  });
  test("what stops the eleventh step is not told at the second", () => {
    const plain = (i: number): Step => ({
      id: `p${i}`,
      kind: "add",
      lines: [line(`w${i}`, "water", 10)],
      durationMin: 1,
    });
    const eleven: FormulaDocument = {
      ...salted,
      steps: [
        ...Array.from({ length: 10 }, (_, i) => plain(i)),
        { id: "up", kind: "reduce", lines: [], target: { to: 2 }, setting: 1, overlap: 1 },
      ],
    };
    const now = reader()(eleven);
    expect(now.row(1).problems).toEqual([]);
    expect(now.row(10).problems.length).toBeGreaterThan(0);
  });
  test("the formula on the bench is the one other formulas of the kitchen see", () => {
    const renamed = { ...stock, name: "Another stock" };
    expect(reader()(renamed).kitchen.data.formulas[STOCK_ID]).toBe(renamed);
  });
});

import { expect, test } from "vitest";
import { DEMO_FORMULAS, GLACE_ID } from "../../../demo/formulas";
import { toCurrentSchema } from "./earlier-schemas";

test("a reduction of schema 2 keeps the flame somebody set, and leaves the usual one to the kitchen", () => {
  const glace = DEMO_FORMULAS[GLACE_ID];
  const steps = glace?.steps.map((step, i) =>
    step.kind === "reduce" ? { ...step, setting: i === 1 ? 0.6 : 0.8 } : step,
  );
  const lifted = toCurrentSchema({ ...glace, schema: 2, steps }) as { schema: number; steps: object[] };
  expect(lifted.schema).toBe(3);
  expect(lifted.steps[1]).toEqual(glace?.steps[1]);
  expect(lifted.steps.filter(step => "setting" in step)).toEqual([
    expect.objectContaining({ kind: "reduce", setting: 0.8 }),
  ]);
});

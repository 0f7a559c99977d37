import { expect, test } from "vitest";
import { DEMO_FORMULAS } from "../../../demo/formulas";
import { DEMO_KITCHEN } from "../../../demo/kitchen";
import { countsOn, openKitchen, walk } from "..";

const document = DEMO_FORMULAS["cider-juniper-pan-sauce"];
if (!document) throw new Error("no pan sauce");
const data = { ...DEMO_KITCHEN, formulas: DEMO_FORMULAS };

test("a forecast says which pace it counted with, and from how many batches; without readings it says nothing", () => {
  const plain = openKitchen({ ...data, facts: {} });
  const walked = walk(document, plain);
  expect(countsOn(walked, plain)).toEqual([]);
  const state = walked.states.find(s => s.step.kind === "reduce");
  if (!state?.fire || !state.vessel) throw new Error("nothing is reduced");
  const reading = {
    burnerId: state.fire.burner.id,
    vesselId: state.vessel.id,
    pace: 0.9,
    sd: 0.05,
    muUsed: 0,
  };
  const learned = openKitchen({ ...data, facts: { ovenOff: -4 }, paceReadings: [reading, reading, reading] });
  const said = countsOn(walk(document, learned), learned);
  expect(said[0]).toBe(
    `${state.vessel.name} on ${state.fire.burner.name}: 0.90 times the sums, from 3 batches`,
  );
  expect(said[1]).toMatch(/^1 figure of the sums/);
});

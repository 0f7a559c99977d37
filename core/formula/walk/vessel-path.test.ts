import { expect, test } from "vitest";
import { panOf, vesselPath, walk } from "..";
import { demo, kitchen } from "./testing";

test("C158g a path names each pan once per stretch; what is washed up is each pan once", () => {
  for (const id of Object.keys(kitchen.data.formulas)) {
    const walked = walk(demo(id), kitchen);
    const path = vesselPath(walked);
    const pans = new Set(walked.states.map(({ step }) => panOf(step)));
    expect(path.washUp).toBe(new Set(path.path.map(p => p.vesselId)).size);
    expect(path.changes).toBe(Math.max(0, path.path.length - pans.size));
    if (pans.size === 1)
      path.path.slice(1).forEach((p, i) => expect(p.vesselId).not.toBe(path.path[i]?.vesselId));
  }
});

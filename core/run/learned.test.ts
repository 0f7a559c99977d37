import { expect, test } from "vitest";
import { learnedWeight } from ".";

const weighed = [
  { lineId: "thyme", massG: 4, baseG: 2000 },
  { lineId: "thyme", massG: 9, baseG: 3000 },
  { lineId: "thyme", massG: 5, baseG: 2000 },
  { lineId: "salt", massG: 12, baseG: 2000 },
];

test("C10 an amount by feel is learned from what was weighed, at the size it is wanted for", () => {
  expect(learnedWeight(weighed, "thyme", 4000)).toEqual({ massG: 10, loG: 8, hiG: 12, batches: 3 });
  expect(learnedWeight(weighed, "salt", 1000)?.massG).toBe(6);
});
test("nobody has weighed it: nothing is learned", () => {
  expect(learnedWeight(weighed, "bay", 4000)).toBeNull();
});

import { expect, test } from "vitest";
import { batchYield } from "./batch-yield";

const gave = (...litres: (number | null)[]) =>
  litres.map(l => ({ baseG: 4000, actualMl: l === null ? null : l * 1000 }));

test("C160 three batches of 1.22, 1.27 and 1.19: 1.23, in a band of two deviations, three batches only", () => {
  const found = batchYield(gave(1.22, 1.27, 1.19), 4000);
  expect(found).toMatchObject({ n: 3, few: true });
  expect(found?.meanMl).toBeCloseTo(1227, 0);
  // Two of 40.4 ml to either side.
  expect(found?.band?.loMl).toBeCloseTo(1146, 0);
  expect(found?.band?.hiMl).toBeCloseTo(1307, 0);
});
test("at twice the size it is twice as much; what nobody measured does not count", () => {
  expect(batchYield(gave(1, null, 1), 8000)).toMatchObject({ n: 2, meanMl: 2000 });
  expect(batchYield(gave(null), 4000)).toBeNull();
  expect(batchYield(gave(1), 4000)).toMatchObject({ band: null });
});

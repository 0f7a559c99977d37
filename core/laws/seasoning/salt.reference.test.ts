import { expect, test } from "vitest";
import { valueOf } from "../../ground/result";
import { projectSalt, saltDose } from ".";

test("06-F-1 a jus at 0.20 % reduced from 5 to 0.8 kg: 1.25 %, at most 0.176 % now, and a stop", () => {
  const found = projectSalt(0.2, 5000, 800, 1.1);
  expect(valueOf(found).endPct).toBeCloseTo(1.25, 6);
  expect(valueOf(found).mostNowPct).toBeCloseTo(0.176, 6);
  expect(found.ok && found.warnings[0]?.code).toBe("DO_NOT_SALT_BEFORE_REDUCING");
});
test("06-F-2 3.0 kg at 0.10 % to 2.4 kg, target 0.9 %: 0.125 %, 18.77 g at the end", () => {
  const found = valueOf(projectSalt(0.1, 3000, 2400, 0.9));
  expect(found.endPct).toBeCloseTo(0.125, 6);
  expect(found.addAtEndG).toBeCloseTo(18.77, 2);
});
test("C118 4.2 kg from 0.42 to 0.80 %: 16.1 g, 12.9 g first", () => {
  const found = valueOf(saltDose(4200, 0.42, 0.8));
  expect(found.addG).toBeCloseTo(16.1, 1);
  expect(found.firstG).toBeCloseTo(12.9, 1);
});
test("C121 mustard and pickles still to come: 0.32 % without, 6.4 g of salt", () => {
  const found = valueOf(
    saltDose(1200, 0, 0.8, [
      { massG: 40, saltPct: 5 },
      { massG: 90, saltPct: 2.5 },
    ]),
  );
  expect(found.withoutPct).toBeCloseTo(0.32, 2);
  expect(found.addG).toBeCloseTo(6.4, 1);
});
test.each([
  [() => projectSalt(0.2, 800, 5000, 1), "OUT_OF_RANGE"],
  [() => projectSalt(-1, 800, 500, 1), "NEGATIVE"],
  [() => saltDose(1000, 2, 1), "ABOVE_TARGET"],
  [() => saltDose(1000, 0.2, 30), "OUT_OF_RANGE"],
])("nonsense is refused: %#", (call, code) => {
  const refused = call();
  expect(!refused.ok && refused.problems[0]?.code).toBe(code);
});

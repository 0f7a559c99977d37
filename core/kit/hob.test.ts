import { expect, test } from "vitest";
import { DEMO_BURNERS } from "../../demo/vessels";
import { valueOf } from "../ground/result";
import { placeBurner, roomOn } from ".";

test("a burner moves in whole centimetres", () =>
  expect(valueOf(placeBurner(DEMO_BURNERS, "open-4", { xMm: 2403.7, yMm: 476 }))).toEqual({
    xMm: 2400,
    yMm: 480,
  }));
test("not onto another one, which is named", () => {
  const refused = placeBurner(DEMO_BURNERS, "open-1", { xMm: 1100, yMm: 470 });
  expect(refused).toMatchObject({ ok: false, problems: [{ code: "DUPLICATE" }] });
  expect(!refused.ok && refused.problems[0]?.message).toContain("Burner 2");
});
test("not off the hob, and only burners there are", () => {
  expect(placeBurner(DEMO_BURNERS, "open-1", { xMm: -40, yMm: 0 })).toMatchObject({
    problems: [{ code: "OUT_OF_RANGE" }],
  });
  expect(placeBurner(DEMO_BURNERS, "open-1", { xMm: NaN, yMm: 0 })).toMatchObject({
    problems: [{ code: "OUT_OF_RANGE" }],
  });
  expect(placeBurner(DEMO_BURNERS, "camp-fire", { xMm: 0, yMm: 0 })).toMatchObject({
    problems: [{ code: "UNKNOWN_ID" }],
  });
});

test("a flame has room for one pot, a flat top for as many small pans as stand on it", () => {
  const plate = { id: "p", name: "Plate", xMm: 0, yMm: 0, widthMm: 600, depthMm: 430 };
  expect(roomOn({ ...plate, kind: "flat-top-centre" })).toBe(6);
  expect(roomOn({ ...plate, kind: "gas-pro" })).toBe(1);
});

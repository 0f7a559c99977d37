import { describe, expect, test } from "vitest";
import { DEMO_APPLIANCES } from "~/demo/appliances";
import { DEMO_BURNERS, DEMO_VESSELS } from "~/demo/vessels";
import { geometryOfVessel } from "~/core/vessel";
import { idFor } from "../larder/form.server";
import {
  readAirForm,
  readBurnerForm,
  readFactForm,
  readHouseForm,
  readIceCheck,
  readToolForm,
  readVesselForm,
} from "./forms.server";

const formOf = (values: Readonly<Record<string, string | readonly string[]>>) => {
  const form = new FormData();
  for (const [key, value] of Object.entries(values))
    for (const one of typeof value === "string" ? [value] : value) form.append(key, one);
  return form;
};
const NOW = new Date("2026-11-23T10:00:00Z");

describe("where the kitchen stands", () => {
  const read = (over: Readonly<Record<string, string>>) =>
    readAirForm(formOf({ altitudeM: "1180", pressureHPa: "", ambientC: "25", humidityPct: "50", ...over }));
  test("by its altitude, or by the barometer", () => {
    expect(read({})).toMatchObject({ value: { altitudeM: 1180, pressurePa: null, humidity: 0.5 } });
    expect(read({ pressureHPa: "884,5" })).toMatchObject({ value: { pressurePa: 88_450 } });
  });
  test.each([
    [{ altitudeM: "" }, "altitudeM"],
    [{ altitudeM: "up high" }, "altitudeM"],
    [{ altitudeM: "9000" }, "altitudeM"],
    [{ pressureHPa: "1013" }, "pressureHPa"],
    [{ pressureHPa: "30" }, "pressureHPa"],
    [{ ambientC: "90" }, "ambientC"],
    [{ humidityPct: "-5" }, "humidityPct"],
  ])("%j is refused", (over, field) => {
    const refused = read(over as Record<string, string>);
    expect(!refused.ok && refused.problems[0]?.field).toBe(field);
  });
});

describe("what the house has settled", () => {
  const read = (over: Readonly<Record<string, string>>) =>
    readHouseForm(formOf({ demiPct: "50", labourPerH: "24", flamePerH: "1.8", ...over }));
  test("C168 its demi-glace and its rates", () => {
    expect(read({ bound: "on" })).toMatchObject({
      value: { demiGlace: { to: 0.5, bound: true }, labourPerH: 24, flamePerH: 1.8 },
    });
    expect(read({ labourPerH: "" })).toMatchObject({ value: { labourPerH: 0 } });
  });
  test.each([
    [{ demiPct: "" }, "demiPct"],
    [{ demiPct: "120" }, "demiPct"],
    [{ labourPerH: "-3" }, "labourPerH"],
    [{ flamePerH: "a bit" }, "flamePerH"],
  ])("%j is refused", (over, field) => {
    const refused = read(over as Record<string, string>);
    expect(!refused.ok && refused.problems[0]?.field).toBe(field);
  });
});

describe("a figure the sums rest on", () => {
  const read = (id: string, text: string) => readFactForm(formOf({ id, [`own-${id}`]: text }));
  test("a number is the kitchen's own, an empty field goes back to the usual one", () => {
    expect(read("starchPower", "3.3")).toMatchObject({ value: { id: "starchPower", value: 3.3 } });
    expect(read("starchPower", " ")).toMatchObject({ value: { id: "starchPower", value: null } });
    expect(read("starchPower", "3,3")).toMatchObject({ value: { value: 3.3 } });
  });
  test.each([
    ["starchPower", "a lot", "NOT_FINITE", "own-starchPower"],
    ["starchPower", "40", "OUT_OF_RANGE", "starchPower"],
    ["rawEggDays", "-1", "NEGATIVE", "rawEggDays"],
    ["toString", "1", "UNKNOWN_ID", "id"],
  ])("%s of “%s” is refused", (id, text, code, field) => {
    expect(read(id, text)).toMatchObject({ ok: false, problems: [{ code, field }] });
  });
});

describe("a vessel", () => {
  const straight = {
    name: "New pot",
    use: "pot",
    tareG: "2100",
    metal: "steel",
    lining: "none",
    handles: "two",
    closed: "open",
    shape: "cylinder",
    diameterMm: "280",
    heightMm: "300",
  };
  const read = (over: Readonly<Record<string, string | readonly string[]>>) =>
    readVesselForm(formOf({ ...straight, ...over }), null, idFor);
  test("by its inside measures", () => {
    const made = read({});
    expect(made).toMatchObject({ ok: true, value: { id: "new-pot", tareG: 2100 } });
    expect(made.ok && geometryOfVessel(made.value).capacityMl).toBeCloseTo(18_473, 0);
    expect(made.ok && made.value.closed).toBeUndefined();
  });
  test("by litres poured in", () => {
    const made = read({ shape: "table", pourL: ["1", "2", "4", ""], pourMm: ["21", "40", "76", ""] });
    expect(made.ok && made.value.shape).toEqual({
      shape: "table",
      points: [
        [0, 0],
        [21, 1000],
        [40, 2000],
        [76, 4000],
      ],
    });
  });
  test("every vessel of the demo goes through its form", () => {
    for (const vessel of DEMO_VESSELS) {
      const { shape, ...measures } = vessel.shape as unknown as { shape: string } & Record<string, number>;
      const form = Object.fromEntries(Object.entries(measures).map(([k, v]) => [k, String(v)]));
      const again = readVesselForm(
        formOf({
          ...straight,
          ...vessel,
          ...form,
          shape,
          tareG: String(vessel.tareG),
          lining: vessel.lining ?? "",
          closed: vessel.closed ?? "",
        } as Record<string, string>),
        vessel,
        idFor,
      );
      expect(again, vessel.id).toMatchObject({ ok: true, value: vessel });
    }
  });
  test.each([
    [{ name: "" }, "name"],
    [{ tareG: "" }, "tareG"],
    [{ tareG: "heavy" }, "tareG"],
    [{ diameterMm: "20" }, "diameterMm"],
    [{ heightMm: "" }, "heightMm"],
    [{ shape: "bowl", diameterMm: "200", bottomDepthMm: "150", heightMm: "200" }, "shape"],
    [{ shape: "table", pourL: ["1", "x"], pourMm: ["20", "40"] }, "pours"],
    [{ shape: "table", pourL: ["1"], pourMm: ["20"] }, "pours"],
  ])("%j is refused where it is wrong", (over, field) => {
    const refused = read(over as Record<string, string>);
    expect(!refused.ok && refused.problems.map(p => p.field)).toContain(field);
  });
});

describe("tools", () => {
  test("the ice check keeps offset and day", () => {
    const done = readIceCheck(formOf({ id: "probe-two", readC: "1,4" }), DEMO_APPLIANCES, NOW);
    expect(done).toMatchObject({ value: { probe: { offsetC: -1.4, checkedOn: "2026-11-23" } } });
    expect(readIceCheck(formOf({ id: "bench-scale", readC: "0" }), DEMO_APPLIANCES, NOW)).toMatchObject({
      ok: false,
    });
    expect(readIceCheck(formOf({ id: "probe-two", readC: "" }), DEMO_APPLIANCES, NOW)).toMatchObject({
      ok: false,
    });
  });
  test("a new ladle, a changed scale", () => {
    expect(
      readToolForm(formOf({ kind: "measure", name: "Big ladle", holdsMl: "250" }), DEMO_APPLIANCES, idFor),
    ).toMatchObject({
      value: { id: "big-ladle", kind: "measure", holdsMl: 250 },
    });
    expect(
      readToolForm(
        formOf({ kind: "scale", name: "Bench scale", capacityG: "30000", resolutionG: "10" }),
        DEMO_APPLIANCES,
        idFor,
      ),
    ).toMatchObject({ value: { id: "bench-scale", capacityG: 30_000 } });
    expect(
      readToolForm(formOf({ kind: "probe", name: "New probe", resolutionC: "0.1" }), [], idFor),
    ).toMatchObject({
      value: { offsetC: 0, checkedOn: null },
    });
  });
  test.each([
    [{ kind: "scale", name: "", capacityG: "1", resolutionG: "1" }, "name"],
    [{ kind: "scale", name: "S", capacityG: "", resolutionG: "1" }, "capacityG"],
    [{ kind: "scale", name: "S", capacityG: "-4", resolutionG: "1" }, "capacityG"],
    [{ kind: "oven", name: "O", mostC: "5000", trays: "4" }, "mostC"],
  ])("%j is refused", (values, field) => {
    const refused = readToolForm(formOf(values as Record<string, string>), [], idFor);
    expect(!refused.ok && refused.problems.map(p => p.field)).toContain(field);
  });
  test("a new burner stands right of all others, and has a name of its own", () => {
    const made = readBurnerForm(formOf({ name: "Plate", kind: "induction-pro" }), DEMO_BURNERS, idFor);
    const right = Math.max(...DEMO_BURNERS.map(b => b.xMm + b.widthMm));
    expect(made.ok && made.value.xMm).toBeGreaterThanOrEqual(right);
    expect(readBurnerForm(formOf({ name: "Plate hot", kind: "gas-pro" }), DEMO_BURNERS, idFor)).toMatchObject(
      { ok: false },
    );
    expect(readBurnerForm(formOf({ name: "", kind: "gas-pro" }), DEMO_BURNERS, idFor)).toMatchObject({
      ok: false,
    });
  });
});

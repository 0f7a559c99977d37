import { describe, expect, test } from "vitest";
import { FACTS } from "~/core/ground/facts";
import { shapeByPouring } from "~/core/kit";
import { valueOf } from "~/core/ground/result";
import { geometryOf } from "~/core/things/vessel";
import { DEMO_KITCHEN } from "~/demo/kitchen";
import { form, refusals } from "../testing";
import { readAirForm, readFactForm, readHouseForm, readIceCheck } from "./kitchen-forms.server";
import { readBurnerForm, readToolForm } from "./tool-forms.server";
import { readVesselForm } from "./vessel-form.server";

describe("where the kitchen stands", () => {
  const mountain = { altitudeM: "1180", pressureHPa: "", ambientC: "24", humidityPct: "45" };
  test("altitude alone is enough; a comma is a point", () => {
    expect(valueOf(readAirForm(form({ ...mountain, ambientC: "24,5" })))).toEqual({
      altitudeM: 1180,
      pressurePa: null,
      ambientC: 24.5,
      humidity: 0.45,
    });
    const bare = valueOf(readAirForm(form({ altitudeM: "0" })));
    expect(bare).toMatchObject({ altitudeM: 0, ambientC: 25, humidity: 0.5 });
  });
  test("a barometer’s own reading is kept; the weather map’s sea-level value is asked about", () => {
    expect(valueOf(readAirForm(form({ ...mountain, pressureHPa: "880" }))).pressurePa).toBe(88_000);
    const seaLevel = readAirForm(form({ ...mountain, pressureHPa: "1013" }));
    expect(refusals(seaLevel)).toEqual(["pressureHPa PRESSURE"]);
    expect(seaLevel.ok ? "" : seaLevel.problems[0]?.message).toMatch(/sea-level value.*about 87\d hPa/);
    // Low down the two are the same within the weather.
    expect(refusals(readAirForm(form({ ...mountain, altitudeM: "200", pressureHPa: "1013" })))).toEqual([]);
  });
  test("every field that is wrong is named, all at once", () =>
    expect(
      refusals(
        readAirForm(form({ altitudeM: "", pressureHPa: "20", ambientC: "warm", humidityPct: "140" })),
      ).sort(),
    ).toEqual([
      "altitudeM MISSING",
      "ambientC NOT_FINITE",
      "humidityPct OUT_OF_RANGE",
      "pressureHPa PRESSURE",
    ]));
});

describe("what the house has settled", () => {
  test("its demi-glace and its rates", () =>
    expect(
      valueOf(readHouseForm(form({ demiPct: "40", bound: "on", labourPerH: "32,5", flamePerH: "" }))),
    ).toEqual({ demiGlace: { to: 0.4, bound: true }, labourPerH: 32.5, flamePerH: 0 }));
  test("a demi-glace of nothing, and a wage below nothing, are asked about", () => {
    expect(refusals(readHouseForm(form({ demiPct: "" })))).toEqual(["demiPct MISSING"]);
    expect(refusals(readHouseForm(form({ demiPct: "98", labourPerH: "-3" })))).toEqual([
      "demiPct OUT_OF_RANGE",
      "labourPerH NEGATIVE",
    ]);
  });
});

describe("a figure of the kitchen’s own", () => {
  test("is read with its limits in words; an empty field goes back to the usual one", () => {
    expect(valueOf(readFactForm(form({ id: "potatoPower", "own-potatoPower": "3,4" })))).toEqual({
      id: "potatoPower",
      value: 3.4,
    });
    expect(valueOf(readFactForm(form({ id: "potatoPower", "own-potatoPower": " " }))).value).toBeNull();
    const far = readFactForm(form({ id: "potatoPower", "own-potatoPower": "400" }));
    expect(refusals(far)).toEqual(["potatoPower OUT_OF_RANGE"]);
    expect(far.ok ? "" : far.problems[0]?.message.toLowerCase()).toContain(FACTS.potatoPower.label);
  });
  test("of nothing the sums rest on is refused", () =>
    expect(refusals(readFactForm(form({ id: "luck", "own-luck": "1" })))).toEqual(["id UNKNOWN_ID"]));
});

describe("a probe in melting ice", () => {
  const probe = DEMO_KITCHEN.appliances.find(a => a.kind === "probe");
  if (!probe) throw new Error("The demo kitchen has no probe.");
  const now = new Date("2026-11-27T09:00:00Z");
  test("is set right by what it reads, and the day is kept", () => {
    const checked = valueOf(readIceCheck(form({ id: probe.id, readC: "0,6" }), DEMO_KITCHEN.appliances, now));
    expect(checked.probe).toMatchObject({ id: probe.id, offsetC: -0.6, checkedOn: "2026-11-27" });
    expect(checked.words).toContain(probe.name);
  });
  test("that reads like a fridge is not set right but asked about", () => {
    expect(readIceCheck(form({ id: probe.id, readC: "9" }), DEMO_KITCHEN.appliances, now).ok).toBe(false);
    expect(refusals(readIceCheck(form({ id: "spoon", readC: "0" }), DEMO_KITCHEN.appliances, now))).toEqual([
      "readC UNKNOWN_ID",
    ]);
    expect(refusals(readIceCheck(form({ id: probe.id, readC: "" }), DEMO_KITCHEN.appliances, now))).toEqual([
      "readC MISSING",
    ]);
  });
});

describe("a vessel", () => {
  const pot = {
    name: "Rondeau",
    tareG: "3400",
    use: "pot",
    metal: "copper",
    lining: "tin",
    handles: "two",
    shape: "cylinder",
    diameterMm: "320",
    heightMm: "140",
  };
  test("by its inside measures: 32 cm across and 14 deep hold 11.3 l", () => {
    const vessel = valueOf(readVesselForm(form(pot), null));
    expect(vessel).toMatchObject({ id: "rondeau", metal: "copper", lining: "tin", tareG: 3400 });
    expect(geometryOf(vessel.shape).capacityMl).toBeCloseTo(Math.PI * 16 * 16 * 14, 0);
  });
  test("measured again it stays the same vessel", () => {
    const before = valueOf(readVesselForm(form(pot), null));
    const after = valueOf(readVesselForm(form({ ...pot, name: "The old rondeau" }), before));
    expect(after.id).toBe(before.id);
  });
  test("every measure that is missing or cannot be is named by what it is", () => {
    expect(refusals(readVesselForm(form({ ...pot, name: " ", tareG: "", diameterMm: "" }), null))).toEqual([
      "name MISSING",
      "tareG MISSING",
      "diameterMm MISSING",
    ]);
    const thimble = readVesselForm(form({ ...pot, diameterMm: "3" }), null);
    expect(thimble.ok ? "" : thimble.problems[0]?.message).toMatch(
      /^Inside across should be at least \d+ mm\.$/,
    );
  });
  test("by pouring: litres and the stick, an empty pair left out", () => {
    const pours = { ...pot, shape: "table", pourL: ["2", "4", "", "8"], pourMm: ["31", "60", "", "118"] };
    const vessel = valueOf(readVesselForm(form(pours), null));
    expect(vessel.shape).toEqual(
      valueOf(
        shapeByPouring([
          { ml: 2000, mm: 31 },
          { ml: 4000, mm: 60 },
          { ml: 8000, mm: 118 },
        ]),
      ),
    );
    expect(geometryOf(vessel.shape).volumeAtLevel(60 as never)).toBeCloseTo(4000, 6);
    const falls = readVesselForm(form({ ...pours, pourMm: ["31", "20", "", "118"] }), null);
    expect(falls.ok ? [] : falls.problems.map(p => p.field)).toEqual(["pours"]);
    expect(refusals(readVesselForm(form({ ...pours, pourL: ["2", "much", "", "8"] }), null))).toEqual([
      "pours NOT_FINITE",
    ]);
  });
});

describe("tools and burners", () => {
  test("a new burner is set down to the right of all others; two of one name are not", () => {
    const burner = valueOf(
      readBurnerForm(form({ name: "Back left", kind: "induction-pro" }), DEMO_KITCHEN.burners),
    );
    for (const other of DEMO_KITCHEN.burners)
      expect(burner.xMm).toBeGreaterThanOrEqual(other.xMm + other.widthMm);
    expect(refusals(readBurnerForm(form({ name: "Back left" }), [...DEMO_KITCHEN.burners, burner]))).toEqual([
      "name DUPLICATE",
    ]);
    expect(refusals(readBurnerForm(form({ name: "" }), []))).toEqual(["name MISSING"]);
  });
  test("the changed figures of a tool leave what was not asked: a probe keeps its check", () => {
    const probe = DEMO_KITCHEN.appliances.find(a => a.kind === "probe");
    if (probe?.kind !== "probe") throw new Error("The demo kitchen has no probe.");
    const checked = { ...probe, offsetC: -0.4, checkedOn: "2026-11-01" };
    const fields = Object.fromEntries(
      Object.entries(checked).flatMap(([k, v]) => (typeof v === "number" ? [[k, String(v)]] : [])),
    );
    const read = readToolForm(form({ ...fields, kind: "probe", name: probe.name }), [checked]);
    expect(valueOf(read)).toMatchObject({ id: probe.id, offsetC: -0.4, checkedOn: "2026-11-01" });
  });
  test("a tool without a name or its figures is told what is missing", () => {
    const read = readToolForm(form({ kind: "blender" }), []);
    expect(refusals(read)[0]).toBe("name MISSING");
    expect(refusals(read).length).toBeGreaterThan(1);
  });
});

import { PROFILE_IDS } from "~/core/laws/cooling";
import { FACTS, FACT_IDS, type FactId, checkFact } from "~/core/ground/facts";
import { type Problem, type Result, ok, refuse } from "~/core/ground/result";
import { type Appliance, type Probe, iceCheck } from "~/core/kit";
import type { House } from "~/core/things/house";
import { pressureAtAltitude, pressureProblem } from "~/core/things/pot";
import type { KitchenFigures } from "~/data";
import { must, number, readForm, ticked, usually, oneOf, timeOfDay } from "../form.server";

/** The forms of what holds for the whole kitchen: its air, what the house has settled, its figures, its probes. */

/** Where the kitchen stands. @errors ALTITUDE · PRESSURE · OUT_OF_RANGE · NOT_FINITE */
export function readAirForm(form: FormData): Result<KitchenFigures> {
  const read = readForm(
    form,
    {
      altitudeM: must(number("Altitude"), "How high does the kitchen stand, in metres?"),
      pressureHPa: number("Air pressure"),
      ambientC: usually(number("Kitchen air", { min: 0, max: 50, unit: "°C" }), 25),
      humidityPct: usually(number("Humidity", { min: 0, max: 100, unit: "%" }), 50),
    },
    ({ altitudeM, pressureHPa }) => pressureProblems(altitudeM, pressureHPa ?? null),
  );
  if (!read.ok) return read;
  const { altitudeM, pressureHPa, ambientC, humidityPct } = read.value;
  return ok({
    altitudeM,
    pressurePa: pressureHPa === null ? null : pressureHPa * 100,
    ambientC,
    humidity: humidityPct / 100,
  });
}

function pressureProblems(altitudeM: number | undefined, pressureHPa: number | null): readonly Problem[] {
  const standing = altitudeM === undefined ? null : pressureAtAltitude(altitudeM);
  const pressure =
    pressureHPa === null ? null : pressureProblem(100 * pressureHPa, altitudeM ?? 0, "pressureHPa");
  return [...(standing && !standing.ok ? standing.problems : []), ...(pressure ? [pressure] : [])];
}

/** What the house has settled. @errors MISSING · OUT_OF_RANGE · NOT_FINITE */
export function readHouseForm(form: FormData): Result<House> {
  const read = readForm(form, {
    demiPct: must(
      number("Demi-glace", { min: 5, max: 95, unit: "%" }),
      "How much of the stock is left when you call it demi-glace? Half is 50.",
    ),
    bound: ticked,
    labourPerH: usually(number("An hour of hands", { min: 0, max: 10_000 }), 0),
    flamePerH: usually(number("An hour of one flame", { min: 0, max: 10_000 }), 0),
    coolingProfile: oneOf(PROFILE_IDS),
    opens: timeOfDay("The first is in the house"),
    closes: timeOfDay("The last leaves"),
  });
  if (!read.ok) return read;
  const { demiPct, bound, labourPerH, flamePerH, coolingProfile, opens, closes } = read.value;
  if (opens !== null && closes !== null && closes <= opens)
    return refuse({
      code: "TIME_ORDER",
      field: "closes",
      message: "The last leaves after the first has come: a house that is open at night is closed never.",
    });
  return ok({
    demiGlace: { to: demiPct / 100, bound },
    labourPerH,
    flamePerH,
    ...(coolingProfile && { coolingProfile }),
    ...(opens !== null && closes !== null && { hours: { opensMin: opens, closesMin: closes } }),
  });
}

/** The kitchen's own value of a fact; an empty field goes back to the usual one. @errors UNKNOWN_ID · those of `checkFact` */
export function readFactForm(form: FormData): Result<{ id: FactId; value: number | null }> {
  const id = FACT_IDS.find(known => known === form.get("id"));
  if (!id)
    return refuse({
      code: "UNKNOWN_ID",
      field: "id",
      value: String(form.get("id")),
      message: "The sums rest on no such figure.",
    });
  const field = `own-${id}`;
  const read = readForm(form, { [field]: number(FACTS[id].label) });
  if (!read.ok) return read;
  const value = read.value[field] ?? null;
  const problems = value === null ? [] : checkFact(id, value);
  return problems.length ? refuse(...problems) : ok({ id, value });
}

/** A probe's reading in melting ice. @errors UNKNOWN_ID · MISSING · NOT_FINITE · PROBE */
export function readIceCheck(
  form: FormData,
  appliances: readonly Appliance[],
  now: Date,
): Result<{ probe: Probe; words: string }> {
  const id = String(form.get("id") ?? "");
  const probe = appliances.find((a): a is Probe => a.kind === "probe" && a.id === id);
  if (!probe)
    return refuse({
      code: "UNKNOWN_ID",
      field: "readC",
      value: id,
      message: "There is no such probe in the kit.",
    });
  const read = readForm(form, {
    readC: must(number("The reading in ice"), "What does it read in melting ice?"),
  });
  if (!read.ok) return read;
  const checked = iceCheck(read.value.readC);
  if (!checked.ok) return checked;
  return ok({
    words: `${probe.name}: ${checked.value.words}`,
    probe: { ...probe, offsetC: checked.value.offsetC, checkedOn: now.toISOString().slice(0, 10) },
  });
}

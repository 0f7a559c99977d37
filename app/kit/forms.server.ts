import {
  APPLIANCE_FIELDS,
  APPLIANCE_KINDS,
  type Appliance,
  type Probe,
  applianceSchema,
  iceCheck,
  shapeByPouring,
} from "~/core/kit";
import type { House } from "~/core/things/house";
import { checkName, idFor } from "~/core/ground/names";
import { FACTS, FACT_IDS, type FactId, checkFact } from "~/core/ground/facts";
import { pressureAtAltitude, pressureProblem } from "~/core/things/pot";
import { BURNER_KINDS, type Burner } from "~/core/laws/reduction";
import { type Problem, type Result, checkNumber, ok, refuse } from "~/core/ground/result";
import {
  CLOSED,
  LININGS,
  METALS,
  type Vessel,
  type VesselShape,
  checkShape,
  shapeSchema,
  vesselSchema,
} from "~/core/things/vessel";
import type { KitchenFigures } from "~/data";
import { numberInForm } from "../number-in-form.server";

/** The forms of the kit as plain text fields. */

/** Names of things stand beside their drawings. */
const LONGEST_TOOL_NAME = 80;

const collect = () => {
  const problems: Problem[] = [];
  return {
    problems,
    take: <T>(result: Result<T>): T | null => {
      if (result.ok) return result.value;
      problems.push(...result.problems);
      return null;
    },
  };
};

/** Where the kitchen stands. @errors ALTITUDE · PRESSURE · OUT_OF_RANGE · NOT_FINITE */
export function readAirForm(form: FormData): Result<KitchenFigures> {
  const { problems, take } = collect();
  const altitude = take(numberInForm(form, "altitudeM", "Altitude"));
  const pressureHPa = take(numberInForm(form, "pressureHPa", "Air pressure"));
  const ambient = take(numberInForm(form, "ambientC", "Kitchen air"));
  const humidity = take(numberInForm(form, "humidityPct", "Humidity"));
  if (altitude === null && !problems.some(p => p.field === "altitudeM"))
    problems.push({
      code: "MISSING",
      field: "altitudeM",
      message: "How high does the kitchen stand, in metres?",
    });
  if (altitude !== null) take(pressureAtAltitude(altitude));
  const pressure =
    pressureHPa === null ? null : pressureProblem(100 * pressureHPa, altitude ?? 0, "pressureHPa");
  if (pressure) problems.push(pressure);
  problems.push(
    ...checkNumber(ambient ?? 25, "ambientC", "Kitchen air", { min: 0, max: 50, unit: "°C" }),
    ...checkNumber(humidity ?? 50, "humidityPct", "Humidity", { min: 0, max: 100, unit: "%" }),
  );
  if (problems.length || altitude === null) return refuse(...problems);
  return ok({
    altitudeM: altitude,
    pressurePa: pressureHPa === null ? null : pressureHPa * 100,
    ambientC: ambient ?? 25,
    humidity: (humidity ?? 50) / 100,
  });
}

/** What the house has settled. @errors MISSING · OUT_OF_RANGE · NOT_FINITE */
export function readHouseForm(form: FormData): Result<House> {
  const { problems, take } = collect();
  const demiPct = take(numberInForm(form, "demiPct", "Demi-glace"));
  const labourPerH = take(numberInForm(form, "labourPerH", "An hour of hands")) ?? 0;
  const flamePerH = take(numberInForm(form, "flamePerH", "An hour of one flame")) ?? 0;
  if (demiPct === null && !problems.some(p => p.field === "demiPct"))
    problems.push({
      code: "MISSING",
      field: "demiPct",
      message: "How much of the stock is left when you call it demi-glace? Half is 50.",
    });
  problems.push(
    ...checkNumber(demiPct ?? 50, "demiPct", "Demi-glace", { min: 5, max: 95, unit: "%" }),
    ...checkNumber(labourPerH, "labourPerH", "An hour of hands", { min: 0, max: 10_000 }),
    ...checkNumber(flamePerH, "flamePerH", "An hour of one flame", { min: 0, max: 10_000 }),
  );
  return problems.length || demiPct === null
    ? refuse(...problems)
    : ok({ demiGlace: { to: demiPct / 100, bound: form.get("bound") === "on" }, labourPerH, flamePerH });
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
  const number = numberInForm(form, `own-${id}`, FACTS[id].label);
  if (!number.ok) return number;
  const problems = number.value === null ? [] : checkFact(id, number.value);
  return problems.length ? refuse(...problems) : ok({ id, value: number.value });
}

/** A probe's reading in melting ice. @errors UNKNOWN_ID · NOT_FINITE · PROBE */
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
  const number = numberInForm(form, "readC", "The reading in ice");
  if (!number.ok) return number;
  if (number.value === null)
    return refuse({ code: "MISSING", field: "readC", message: "What does it read in melting ice?" });
  const checked = iceCheck(number.value);
  if (!checked.ok) return checked;
  return ok({
    words: `${probe.name}: ${checked.value.words}`,
    probe: { ...probe, offsetC: checked.value.offsetC, checkedOn: now.toISOString().slice(0, 10) },
  });
}

const MEASURES = new Map<string, readonly (readonly [string, string])[]>(
  Object.entries({
    cylinder: [
      ["diameterMm", "Inside across"],
      ["heightMm", "Inside deep"],
    ],
    frustum: [
      ["baseMm", "Across the bottom"],
      ["rimMm", "Across the rim"],
      ["heightMm", "Inside deep"],
    ],
    bowl: [
      ["diameterMm", "Inside across"],
      ["bottomDepthMm", "Depth of the round bottom"],
      ["heightMm", "Inside deep"],
    ],
    rect: [
      ["baseLengthMm", "Bottom, long side"],
      ["baseWidthMm", "Bottom, short side"],
      ["rimLengthMm", "Rim, long side"],
      ["rimWidthMm", "Rim, short side"],
      ["heightMm", "Inside deep"],
      ["cornerMm", "Rounding of the corners"],
    ],
  }),
);

const pick = <T extends string>(value: FormDataEntryValue | null, all: readonly T[], fallback: T): T =>
  all.find(x => x === value) ?? fallback;

/** A vessel with its inside measures, or measured by pouring. @errors GEOMETRY · MISSING · OUT_OF_RANGE */
export function readVesselForm(form: FormData, before: Vessel | null): Result<Vessel> {
  const { problems, take } = collect();
  const name = String(form.get("name") ?? "").trim();
  problems.push(...checkName(name, "name", LONGEST_TOOL_NAME));
  const tare = take(numberInForm(form, "tareG", "Empty weight"));
  if (tare === null && !problems.some(p => p.field === "tareG"))
    problems.push({
      code: "MISSING",
      field: "tareG",
      message: "Weigh it empty once: readings with the pot need it.",
    });
  problems.push(...checkNumber(tare ?? 1, "tareG", "Empty weight", { min: 1, max: 200_000, unit: "g" }));
  const shape = take(readShape(form));
  if (problems.length || !shape) return refuse(...problems);
  const lining = String(form.get("lining") ?? "");
  const closed = String(form.get("closed") ?? "");
  const parsed = vesselSchema.safeParse({
    id: before?.id ?? idFor(name),
    name,
    use: pick(form.get("use"), ["pot", "pan", "tray", "container"] as const, "pot"),
    shape,
    tareG: tare,
    metal: pick(form.get("metal"), METALS, "steel"),
    ...((LININGS as readonly string[]).includes(lining) && { lining }),
    ...((CLOSED as readonly string[]).includes(closed) && { closed }),
    handles: pick(form.get("handles"), ["two", "long", "none"] as const, "two"),
  });
  return parsed.success
    ? ok(parsed.data)
    : refuse({
        code: "NOT_UNDERSTOOD",
        field: "name",
        message: "That is not a vessel yet: look over its fields.",
      });
}

function readShape(form: FormData): Result<VesselShape> {
  const kind = String(form.get("shape") ?? "cylinder");
  if (kind === "table") return readPours(form);
  const { problems, take } = collect();
  const asked = MEASURES.get(kind);
  if (!asked)
    return refuse({
      code: "NOT_UNDERSTOOD",
      field: "shape",
      message: "Choose which shape its inside has.",
    });
  const measures = asked.map(([field, label]) => {
    const value = take(numberInForm(form, field, label));
    if (value === null && !problems.some(p => p.field === field))
      problems.push({ code: "MISSING", field, message: `${label}: how many millimetres?` });
    return [field, value ?? 0] as const;
  });
  if (problems.length) return refuse(...problems);
  const parsed = shapeSchema.safeParse({ shape: kind, ...Object.fromEntries(measures) });
  if (!parsed.success)
    return refuse(
      ...parsed.error.issues.map((issue): Problem => {
        const field = String(issue.path.at(-1) ?? "shape");
        const label = asked.find(([id]) => id === field)?.[1] ?? "This";
        const limit =
          issue.code === "too_small"
            ? `at least ${String(issue.minimum)} mm`
            : issue.code === "too_big"
              ? `at most ${String(issue.maximum)} mm`
              : "a measure of a pot";
        return { code: "GEOMETRY", field, message: `${label} should be ${limit}.` };
      }),
    );
  return checkShape(parsed.data, "shape");
}

/** Lines "litres millimetres" of what was poured in all and what the stick read. */
function readPours(form: FormData): Result<VesselShape> {
  const { problems, take } = collect();
  const litres = form.getAll("pourL").map(String);
  const levels = form.getAll("pourMm").map(String);
  const pours = litres.flatMap((text, i) => {
    if (!text.trim() && !(levels[i] ?? "").trim()) return [];
    const one = new FormData();
    one.set("l", text);
    one.set("mm", levels[i] ?? "");
    const l = take(numberInForm(one, "l", `Pour ${i + 1}, litres`));
    const mm = take(numberInForm(one, "mm", `Pour ${i + 1}, level`));
    return l === null || mm === null ? [] : [{ ml: l * 1000, mm }];
  });
  if (problems.length) return refuse(...problems.map(p => ({ ...p, field: "pours" })));
  const shape = shapeByPouring(pours);
  return shape.ok ? shape : refuse(...shape.problems.map(p => ({ ...p, field: "pours" })));
}

/** A new tool, or the changed figures of one. @errors MISSING · NOT_FINITE · OUT_OF_RANGE */
export function readToolForm(form: FormData, appliances: readonly Appliance[]): Result<Appliance> {
  const { problems, take } = collect();
  const kind = pick(form.get("kind"), APPLIANCE_KINDS, "measure");
  const name = String(form.get("name") ?? "").trim();
  problems.push(...checkName(name, "name", LONGEST_TOOL_NAME));
  const figures = APPLIANCE_FIELDS[kind].map(([field, label]) => {
    const value = take(numberInForm(form, field, label));
    if (value === null && !problems.some(p => p.field === field))
      problems.push({ code: "MISSING", field, message: `Missing: ${label}.` });
    return [field, value ?? 0] as const;
  });
  if (problems.length) return refuse(...problems);
  const before = appliances.find(a => a.kind === kind && a.name.toLowerCase() === name.toLowerCase());
  const id = before?.id ?? idFor(name);
  const taken = appliances.find(a => a.id === id && a !== before);
  if (taken)
    return refuse({
      code: "DUPLICATE",
      field: "name",
      value: name,
      message: `The kit has a ${taken.kind} called ${taken.name} already. Choose another name.`,
    });
  const parsed = applianceSchema.safeParse({
    ...(kind === "probe" && { offsetC: 0, checkedOn: null }),
    ...(kind === "cold place" && { method: "walk-in" }),
    ...before,
    kind,
    id,
    name,
    ...Object.fromEntries(figures),
    ...(kind === "cold place" && form.get("method") && { method: form.get("method") }),
  });
  if (parsed.success) return ok(parsed.data);
  return refuse(
    ...parsed.error.issues.map((issue): Problem => {
      const field = String(issue.path.at(-1) ?? "name");
      const label = APPLIANCE_FIELDS[kind].find(([id]) => id === field)?.[1] ?? field;
      return { code: "OUT_OF_RANGE", field, message: `No ${kind} has that: look at “${label}”.` };
    }),
  );
}

/** A new burner, set down to the right of all others. @errors MISSING */
export function readBurnerForm(form: FormData, burners: readonly Burner[]): Result<Burner> {
  const name = String(form.get("name") ?? "").trim();
  const unnamed = checkName(name, "name", LONGEST_TOOL_NAME);
  if (unnamed.length) return refuse(...unnamed);
  const id = idFor(name);
  if (burners.some(b => b.id === id))
    return refuse({
      code: "DUPLICATE",
      field: "name",
      value: name,
      message: `There is a burner called ${name} already.`,
    });
  const kind = pick(form.get("kind"), BURNER_KINDS, "gas-pro");
  const side = kind.startsWith("flat-top") ? 600 : 410;
  const right = Math.max(0, ...burners.map(b => b.xMm + b.widthMm));
  return ok({ id, name, kind, xMm: right + 20, yMm: 30, widthMm: side, depthMm: 420 });
}

import fc from "fast-check";
import { SUMS } from "../../core/sums";
import { DEMO_FORMULAS } from "../../demo/formulas";
import { note } from "./client";
import { HUGE, spoiled } from "./spoil";

/** One request as somebody hostile, or a broken program, would send it. */
export interface Asked {
  readonly method: string;
  readonly path: string;
  readonly type?: string;
  readonly body?: string;
}

/** Half a character goes out as JSON writes it; nothing else can. */
const json = (value: unknown): string => JSON.stringify(value) ?? "null";
const asJson =
  (path: string) =>
  (value: unknown): Asked => ({
    method: "POST",
    path,
    type: "application/json",
    body: json(value),
  });

const sums = fc.constantFrom(...SUMS).chain(sum => spoiled(sum.example).map(asJson(`/api/sums/${sum.name}`)));

/** Numbers that are possible each for itself, and odd together. */
const oddSums = fc.constantFrom(...SUMS).chain(sum =>
  fc.array(fc.double({ min: -4, max: 4, noNaN: true }), { minLength: 40, maxLength: 40 }).map(powers => {
    let i = 0;
    const scale = (value: unknown): unknown =>
      typeof value === "number"
        ? value * 10 ** (powers[i++ % powers.length] ?? 0)
        : Array.isArray(value)
          ? value.map(scale)
          : typeof value === "object" && value !== null
            ? Object.fromEntries(Object.entries(value).map(([k, v]) => [k, scale(v)]))
            : value;
    return asJson(`/api/sums/${sum.name}`)(scale(sum.example));
  }),
);

const id = fc.oneof(
  fc.constantFrom(
    "constructor",
    "__proto__",
    "new",
    ".",
    "..",
    "%2e%2e",
    "%00",
    "a".repeat(300),
    "hasOwnProperty",
    "💧",
    "x%20",
    "guinea-fowl-brown-stock",
    "Guinea-Fowl-Brown-Stock",
  ),
  fc.string({ unit: "grapheme", maxLength: 20 }).map(encodeURIComponent),
);
const PAGES = [
  "/bench/ID",
  "/bench/ID/versions",
  "/bench/ID/other-main",
  "/bench/new/ID",
  "/book/ID",
  "/batch/ID",
  "/larder/ID",
  "/kit/ID",
  "/stove/ID",
  "/api/formulas/ID.json",
  "/api/formulas/ID.md",
  "/api/formulas/ID.csv",
  "/api/formulas/ID.jsonld",
  "/who",
  "/",
  "/bench",
  "/larder",
  "/kit/figures",
  "/sums/world",
];
const reads = fc
  .tuple(
    fc.constantFrom(...PAGES),
    id,
    fc.constantFrom(
      "",
      ".data",
      "?base=8",
      "?base=-1e309",
      "?instead=constructor",
      "?to=/%5Cx",
      "?was=1&is=NaN",
      "/extra",
    ),
  )
  .map(([page, of, more]): Asked => ({ method: "GET", path: page.replace("ID", of) + more }));

const FORMS = [
  "/who",
  "/kit",
  "/kit/new",
  "/kit/low-36",
  "/kit/figures",
  "/larder/new",
  "/larder/butter",
  "/larder/import",
  "/bench/new",
  "/bench/new/words",
  "/bench/new/file",
  "/bench/new/pan-sauce",
  "/bench/ID",
  "/bench/ID/readings",
  "/bench/ID/versions",
  "/bench/ID/other-main",
  "/book/ID",
];
const FIELDS = [
  "intent",
  "id",
  "name",
  "person",
  "to",
  "seen",
  "rowVersion",
  "kind",
  "shape",
  "xMm",
  "yMm",
  "altitudeM",
  "pressureHPa",
  "ambientC",
  "humidityPct",
  "demiPct",
  "labourPerH",
  "flamePerH",
  "readC",
  "tareG",
  "diameterMm",
  "heightMm",
  "pourL",
  "pourMm",
  "perKg",
  "currency",
  "since",
  "composition.water",
  "composition.fat",
  "ediblePct",
  "densityGPerMl",
  "measures",
  "aliases",
  "allergens",
  "phase",
  "document",
  "text",
  "burner",
  "run",
  "test",
  "reading",
  "temperatureC",
  "units",
  "roundG",
  "reason",
  "fromVersionId",
  "__proto__",
  "constructor",
  "own-starchPower",
  "seen",
  "allergensKnown",
  "source.text",
  "nature",
];
const INTENTS = [
  "move",
  "air",
  "house",
  "ice-check",
  "tool",
  "burner",
  "price",
  "import",
  "bring in",
  "keep",
  "restore",
  "branch",
  "undo",
  "save",
  "constructor",
];
const text = fc.oneof(
  fc.constantFrom(
    "",
    "8",
    "8,5",
    "1e308",
    "5e-324",
    "-3",
    "NaN",
    "butter",
    "probe",
    "cylinder",
    "constructor",
    "line",
    "2026-11-29",
    "EUR",
    "EURO",
    HUGE,
    "name,water\n__proto__,100",
    "{}",
    "null",
    '{"format":"hondaro-formulas","version":1,"formulas":[{"id":"__proto__","document":{}}]}',
    json({ ingredients: [{ id: "constructor" }] }),
    "on",
    "yes",
    "g",
    "metric",
  ),
  fc.string({ unit: "binary", maxLength: 30 }),
);
const forms = fc
  .tuple(
    fc.constantFrom(...FORMS),
    id,
    fc.constantFrom(...INTENTS),
    fc.array(fc.tuple(fc.constantFrom(...FIELDS), text), { maxLength: 12 }),
    fc.constantFrom("", ".data"),
  )
  .map(([page, of, intent, fields, data]): Asked => ({
    method: "POST",
    path: page.replace("ID", of) + data,
    type: "application/x-www-form-urlencoded",
    body: new URLSearchParams([["intent", intent], ...fields]).toString(),
  }));

const wrongBodies = fc
  .tuple(
    fc.constantFrom(...FORMS, "/api/sums/ice", "/api/runs/RUN/events"),
    fc.constantFrom(
      undefined,
      "application/json",
      "text/plain",
      "multipart/form-data",
      "multipart/form-data; boundary=x",
      "application/x-www-form-urlencoded",
      "image/png",
    ),
    fc.constantFrom(
      "",
      "null",
      "{",
      "[]",
      '--x\r\nContent-Disposition: form-data; name="a"\r\n\r\nhalf',
      "--x--",
      "a=%",
      "\u0000",
      json({ events: 5 }),
    ),
    fc.constantFrom("POST", "PUT", "DELETE", "PATCH", "OPTIONS"),
  )
  .map(([path, type, body, method]): Asked => ({
    method,
    path: path.replace("ID", "guinea-fowl-brown-stock"),
    body,
    ...(type !== undefined && { type }),
  }));

const [anyFormula] = Object.entries(DEMO_FORMULAS);
const saves = spoiled(anyFormula?.[1]).map((document): Asked =>
  asJson(`/bench/${anyFormula?.[0]}.data`)({ intent: "save", rowVersion: 1, document }),
);
const reading = note("clear");
const events = fc
  .oneof(
    spoiled({ events: [reading] }),
    spoiled({ events: [{ ...reading, payload: { kind: "weighed", stepId: "s1", netG: 5000 } }] }),
    spoiled({
      events: [{ ...reading, payload: { kind: "probed", stepId: "s1", temperatureC: 80, where: "pot" } }],
    }),
    fc.constant({ events: [reading, reading] }),
    fc.constant({ events: [reading, { ...reading, personId: "petr" }] }),
    fc.constant({ events: [{ ...reading, id: reading.id.toLowerCase() }] }),
    fc.constant({ events: [{ ...reading, clockOffsetMs: 2147483648 }] }),
  )
  .map(asJson("/api/runs/RUN/events"));

/** RUN in a path stands for a pot that is on. */
export const askedOf = (seed: number, count: number): Asked[] =>
  fc.sample(
    fc.oneof(
      { weight: 4, arbitrary: sums },
      { weight: 4, arbitrary: oddSums },
      { weight: 3, arbitrary: reads },
      { weight: 5, arbitrary: forms },
      { weight: 2, arbitrary: wrongBodies },
      { weight: 2, arbitrary: saves },
      { weight: 2, arbitrary: events },
    ),
    { seed, numRuns: count },
  );

import { idFor } from "~/core/ground/names";
import { type Problem, type Result, ok, refuse } from "~/core/ground/result";
import { LONGEST_TOOL_NAME, shapeByPouring } from "~/core/kit";
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
import { calledBy, must, number, numberOf, oneOf, readForm, usually } from "../form.server";

/** The form of a vessel: what it is, and how its inside is measured. */

/** What is measured inside each shape. */
const MEASURES = {
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
} as const;

const SHAPES = ["cylinder", "frustum", "bowl", "rect", "table"] as const;

/** A vessel with its inside measures, or measured by pouring. @errors GEOMETRY · MISSING · OUT_OF_RANGE */
export function readVesselForm(form: FormData, before: Vessel | null): Result<Vessel> {
  const read = readForm(form, {
    name: calledBy(LONGEST_TOOL_NAME),
    tareG: must(
      number("Empty weight", { min: 1, max: 200_000, unit: "g" }),
      "Weigh it empty once: readings with the pot need it.",
    ),
    shape: usually(oneOf(SHAPES), "cylinder"),
    use: usually(oneOf(["pot", "pan", "tray", "container"]), "pot"),
    metal: usually(oneOf(METALS), "steel"),
    lining: oneOf(LININGS),
    closed: oneOf(CLOSED),
    handles: usually(oneOf(["two", "long", "none"]), "two"),
  });
  const shape = readShape(form, read.ok ? read.value.shape : String(form.get("shape") ?? "cylinder"));
  if (!read.ok || !shape.ok)
    return refuse(...(read.ok ? [] : read.problems), ...(shape.ok ? [] : shape.problems));
  const { lining, closed, ...rest } = read.value;
  const parsed = vesselSchema.safeParse({
    ...rest,
    id: before?.id ?? idFor(rest.name),
    shape: shape.value,
    ...(lining && { lining }),
    ...(closed && { closed }),
  });
  return parsed.success
    ? ok(parsed.data)
    : refuse({
        code: "NOT_UNDERSTOOD",
        field: "name",
        message: "That is not a vessel yet: look over its fields.",
      });
}

function readShape(form: FormData, kind: string): Result<VesselShape> {
  if (kind === "table") return readPours(form);
  if (!Object.hasOwn(MEASURES, kind))
    return refuse({ code: "NOT_UNDERSTOOD", field: "shape", message: "Choose which shape its inside has." });
  const asked = MEASURES[kind as keyof typeof MEASURES];
  const measures = readForm(
    form,
    Object.fromEntries(
      asked.map(([field, label]) => [field, must(number(label), `${label}: how many millimetres?`)]),
    ),
  );
  if (!measures.ok) return measures;
  const parsed = shapeSchema.safeParse({ shape: kind, ...measures.value });
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

/** Lines "litres millimetres" of what was poured in all and what the stick read. A line half filled in counts for nothing. */
function readPours(form: FormData): Result<VesselShape> {
  const problems: Problem[] = [];
  const levels = form.getAll("pourMm").map(String);
  const pours = form.getAll("pourL").flatMap((litres, i) => {
    const texts = [String(litres).trim(), (levels[i] ?? "").trim()] as const;
    if (!texts[0] || !texts[1]) return [];
    const l = numberOf(texts[0], "pours", `Pour ${i + 1}, litres`);
    const mm = numberOf(texts[1], "pours", `Pour ${i + 1}, level`);
    if (l.ok && mm.ok) return [{ ml: l.value * 1000, mm: mm.value }];
    problems.push(...[l, mm].flatMap(read => (read.ok ? [] : read.problems)));
    return [];
  });
  if (problems.length) return refuse(...problems);
  const shape = shapeByPouring(pours);
  return shape.ok ? shape : refuse(...shape.problems.map(p => ({ ...p, field: "pours" })));
}

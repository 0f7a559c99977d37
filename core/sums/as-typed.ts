import { BURNER_KINDS, BURNER_LABELS, reductionTargetSchema, targetInWords } from "../laws/reduction";
import type { SumField } from "./field";
import { CELL } from "./typed";
import { AIMS, type TypedWorld } from "./typed-values";

/** What stands in a field when its value is known already: the way back of `readTyped`. */

/** A value of an input as the text it is typed as. */
export function textOf(field: SumField, value: unknown, world: TypedWorld): string {
  if (value === undefined || value === null) return "";
  const { typed } = field;
  if (typed === "list" && Array.isArray(value))
    return value.map(entry => rowText(field, entry, world)).join("\n");
  if (typed === "group") return rowText(field, value, world);
  if (typed === "choice") return String(value);
  if (typeof value === "number") return String(Number(value.toFixed(6)));
  if (typeof value === "string") return value;
  if (typeof value === "boolean") return value ? "yes" : "no";
  if (Array.isArray(value)) return value.join(typed === "names" ? ", " : " ");
  const object = value as Record<string, unknown>;
  switch (typed) {
    case "vessel":
      return vesselText(object, world);
    case "heat":
      return heatText(object);
    case "target":
      return targetText(object);
    case "aim":
      return (
        Object.entries(AIMS)
          .filter(([, key]) => key in object)
          .map(([words, key]) => `${words} ${String(object[key])}`)[0] ?? JSON.stringify(value)
      );
    case "size":
      return sizeText(object);
    case "pairs":
      return Object.entries(object)
        .map(([name, x]) => `${name} ${String(x)}`)
        .join(", ");
    default:
      return JSON.stringify(value);
  }
}

/** An entry as its cells; one that holds more than the columns show is JSON. */
function rowText(field: SumField, entry: unknown, world: TypedWorld): string {
  const shown = field.columns.map(column => {
    const value = column.path.reduce<unknown>(
      (at, key) => (at as Record<string, unknown> | undefined)?.[key],
      entry,
    );
    return [value, textOf(column, value, world)] as const;
  });
  const leaves = countLeaves(entry, field);
  return leaves > shown.filter(([value]) => value !== undefined).length
    ? JSON.stringify(entry)
    : shown
        .map(([, text]) => text)
        .join(CELL)
        .replace(/\t+$/, "");
}

/** How many values of an entry there are to show: what one column holds is one. */
function countLeaves(entry: unknown, field: SumField, path: readonly string[] = []): number {
  if (field.columns.some(c => c.path.join(".") === path.join("."))) return 1;
  if (typeof entry !== "object" || entry === null) return 1;
  return Object.entries(entry).reduce(
    (sum, [key, value]) => sum + countLeaves(value, field, [...path, key]),
    0,
  );
}

function targetText(target: Record<string, unknown>): string {
  const share = reductionTargetSchema.safeParse(target);
  if (share.success && ("by" in share.data || "to" in share.data))
    return targetInWords(share.data).replace(/ \(.*/, "");
  if (typeof target.endG === "number") return `to ${target.endG} g`;
  if (typeof target.endMl === "number") return `to ${target.endMl} ml`;
  if (typeof target.brix === "number") return `to ${target.brix} °Bx`;
  return JSON.stringify(target);
}

function vesselText(vessel: Record<string, unknown>, { vessels }: TypedWorld): string {
  if (typeof vessel.id === "string") return vessels.find(v => v.id === vessel.id)?.name ?? vessel.id;
  if (vessel.shape === "cylinder") return `${String(vessel.diameterMm)} × ${String(vessel.heightMm)} mm`;
  if (vessel.shape === "frustum")
    return `${String(vessel.baseMm)}–${String(vessel.rimMm)} × ${String(vessel.heightMm)} mm`;
  return JSON.stringify(vessel);
}

function heatText(heat: Record<string, unknown>): string {
  const burner = BURNER_KINDS.find(kind => kind === heat.burner);
  if (burner && heat.overlap !== undefined && heat.overlap !== 1) return JSON.stringify(heat);
  if (burner)
    return `${BURNER_LABELS[burner]}${typeof heat.setting === "number" && heat.setting < 1 ? ` ${Math.round(heat.setting * 100)} %` : ""}`;
  if (typeof heat.watts === "number") return `${heat.watts} W`;
  if (typeof heat.holdC === "number") return `${heat.holdC} °C`;
  if (typeof heat.boilsOffGPerMin === "number") return `${heat.boilsOffGPerMin} g/min`;
  return JSON.stringify(heat);
}

function sizeText(to: Record<string, unknown>): string {
  if (typeof to.factor === "number") return `× ${to.factor}`;
  if (typeof to.finishedG === "number") return `${to.finishedG} g finished`;
  if (typeof to.baseG === "number") return `${to.baseG} g of the base`;
  return typeof to.covers === "number" && to.overagePct === undefined
    ? `${to.covers} × ${String(to.portionG)} g`
    : JSON.stringify(to);
}

/** The input of an example as texts, each in the field it belongs to. */
export const textsOf = (
  fields: readonly SumField[],
  input: Readonly<Record<string, unknown>>,
  world: TypedWorld,
): Record<string, string> =>
  Object.fromEntries(
    fields.flatMap(field =>
      input[field.name] === undefined ? [] : [[field.name, textOf(field, input[field.name], world)] as const],
    ),
  );

/** What stands in for what was not said: nothing that says again, in another way, what was. */
export const besides = (
  fields: readonly SumField[],
  example: Readonly<Record<string, unknown>>,
  said: Readonly<Record<string, unknown>>,
): Record<string, unknown> => {
  const answered = new Set(fields.flatMap(f => (f.oneOf && said[f.name] !== undefined ? [f.oneOf] : [])));
  const taken = fields.filter(f => f.oneOf && answered.has(f.oneOf)).map(f => f.name);
  return {
    ...Object.fromEntries(Object.entries(example).filter(([name]) => !taken.includes(name))),
    ...said,
  };
};

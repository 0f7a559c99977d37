import { idFor } from "~/core/ground/names";
import { type Problem, type Result, ok, refuse } from "~/core/ground/result";
import {
  APPLIANCE_FIELDS,
  APPLIANCE_KINDS,
  type Appliance,
  LONGEST_TOOL_NAME,
  applianceSchema,
} from "~/core/kit";
import { COOLING_METHODS } from "~/core/laws/cooling";
import { BURNER_KINDS, type Burner } from "~/core/laws/reduction";
import { calledBy, must, number, oneOf, readForm, usually } from "../form.server";

/** The forms of tools and burners. */

/** A new tool, or the changed figures of one. @errors MISSING · NOT_FINITE · OUT_OF_RANGE */
export function readToolForm(form: FormData, appliances: readonly Appliance[]): Result<Appliance> {
  const named = readForm(form, { name: calledBy(LONGEST_TOOL_NAME), method: oneOf(COOLING_METHODS) });
  const kind = APPLIANCE_KINDS.find(known => known === form.get("kind")) ?? "measure";
  const figures = readForm(
    form,
    Object.fromEntries(
      APPLIANCE_FIELDS[kind].map(([field, label]) => [field, must(number(label), `Missing: ${label}.`)]),
    ),
  );
  if (!named.ok || !figures.ok)
    return refuse(...(named.ok ? [] : named.problems), ...(figures.ok ? [] : figures.problems));
  const { name, method } = named.value;
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
    ...figures.value,
    ...(kind === "cold place" && method && { method }),
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
  const read = readForm(form, {
    name: calledBy(LONGEST_TOOL_NAME),
    kind: usually(oneOf(BURNER_KINDS), "gas-pro"),
  });
  if (!read.ok) return read;
  const { name, kind } = read.value;
  const id = idFor(name);
  if (burners.some(b => b.id === id))
    return refuse({
      code: "DUPLICATE",
      field: "name",
      value: name,
      message: `There is a burner called ${name} already.`,
    });
  const side = kind.startsWith("flat-top") ? 600 : 410;
  const right = Math.max(0, ...burners.map(b => b.xMm + b.widthMm));
  return ok({ id, name, kind, xMm: right + 20, yMm: 30, widthMm: side, depthMm: 420 });
}

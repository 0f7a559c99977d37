import {
  ALLERGEN_IDS,
  COMPOSITION_TOTALS,
  type Composition,
  DIET_FLAGS,
  type Ingredient,
  NATURES,
  SOLID_KINDS,
  type Source,
  carriesFor,
  checkIngredient,
  ingredientSchema,
} from "~/core/things/larder";
import { idFor } from "~/core/ground/names";
import { type Problem, type Result, ok, refuse } from "~/core/ground/result";
import { type Field, anyOf, calledBy, list, number, oneOf, readForm, ticked, usually } from "../form.server";

/** The edit form of an ingredient, as plain text fields. */

const MARKS = ["P", "M", "T", "E", "measured"] as const;

/** A number that is never negative. */
const amount = (label: string) => number(label, { min: 0 });

/** Measures as cooks write them: “piece = 150 (90–230)”. @errors NOT_UNDERSTOOD */
const measures: Field<readonly { name: string; massG: number; loG: number; hiG: number }[]> = (
  form,
  name,
) => {
  const texts = list(form, name);
  if (!texts.ok) return texts;
  const problems: Problem[] = [];
  const read = texts.value.flatMap((text, i) => {
    const found = /^(.+?)\s*[=:]\s*([\d.,]+)\s*g?(?:\s*\(\s*([\d.,]+)\s*[–-]\s*([\d.,]+)\s*\))?$/.exec(text);
    const numbers = found?.slice(2, 5).map(n => (n === undefined ? undefined : Number(n.replace(",", "."))));
    const [massG, lo, hi] = numbers ?? [];
    if (found?.[1] && massG !== undefined && massG > 0)
      return [{ name: found[1], massG, loG: lo ?? massG * 0.75, hiG: hi ?? massG * 1.25 }];
    problems.push({
      code: "NOT_UNDERSTOOD",
      field: name,
      value: text,
      message: `Measure ${i + 1}: “${text}”. Write it as “piece = 150 (90–230)”.`,
    });
    return [];
  });
  return problems.length ? refuse(...problems) : ok(read);
};

/** How it is sold, as an order says it: “crate = 10 kg”. @errors NOT_UNDERSTOOD */
const pack: Field<Ingredient["pack"] | null> = (form, name) => {
  const text = String(form.get(name) ?? "").trim();
  if (!text) return ok(null);
  const found = /^(.+?)\s*[=:]\s*([\d.,]+)\s*(kg|g)$/i.exec(text);
  const massG = Number(found?.[2]?.replace(",", ".")) * (found?.[3]?.toLowerCase() === "kg" ? 1000 : 1);
  return found?.[1] && massG > 0
    ? ok({ name: found[1].slice(0, 40), massG })
    : refuse({
        code: "NOT_UNDERSTOOD",
        field: name,
        value: text,
        message: `Sold as “${text}”: write it as “crate = 10 kg”.`,
      });
};

const PARTS = [...COMPOSITION_TOTALS, "collagen", "volatileAcid"] as const;

const FIELDS = {
  name: calledBy(),
  aliases: list,
  ediblePct: usually(amount("Used part"), 100),
  juicePct: amount("Juice"),
  densityGPerMl: amount("Density"),
  measures,
  pack,
  solidKind: oneOf(SOLID_KINDS),
  // A form that does not ask leaves it as it was.
  nature: oneOf(NATURES),
  allergensKnown: ticked,
  allergens: anyOf(ALLERGEN_IDS),
  diet: anyOf(DIET_FLAGS),
  boughtStock: ticked,
};

/**
 * Reads the form. What is kept of the old entry is what the form does not ask.
 * @errors every field that cannot be read, with its name; then what `checkIngredient` refuses
 */
export function readIngredientForm(form: FormData, before: Ingredient | null): Result<Ingredient> {
  const read = readForm(form, FIELDS);
  const parts = readForm(
    form,
    Object.fromEntries(
      PARTS.map(part => [
        `composition.${part}`,
        usually(amount(part === "volatileAcid" ? "Acetic acid" : capital(part)), 0),
      ]),
    ),
  );
  if (!read.ok || !parts.ok)
    return refuse(...(read.ok ? [] : read.problems), ...(parts.ok ? [] : parts.problems));
  const {
    name,
    aliases,
    ediblePct,
    juicePct,
    densityGPerMl: density,
    solidKind,
    nature,
    ...asked
  } = read.value;
  const composition = Object.fromEntries(PARTS.map(part => [part, parts.value[`composition.${part}`] ?? 0]));
  const raw = {
    ...before,
    id: before?.id ?? idFor(name),
    name,
    aliases,
    composition,
    compositionSource:
      before && sameComposition(before.composition, composition) && onlyOther(read.value, before)
        ? before.compositionSource
        : sourceIn(form),
    phase: String(form.get("phase") ?? "liquor"),
    solidKind: solidKind ?? undefined,
    densityGPerMl: density ?? undefined,
    densitySource:
      density === null
        ? undefined
        : density === before?.densityGPerMl
          ? before.densitySource
          : sourceOfOther(form, before),
    ediblePct,
    edibleSource: ediblePct === before?.ediblePct ? before.edibleSource : sourceOfOther(form, before),
    juicePct: juicePct ?? undefined,
    juiceSource:
      juicePct === null
        ? undefined
        : juicePct === before?.juicePct
          ? before.juiceSource
          : sourceOfOther(form, before),
    allergens: asked.allergensKnown ? asked.allergens : null,
    diet: asked.diet,
    measures: asked.measures.map(
      read =>
        before?.measures.find(m => m.name === read.name && m.massG === read.massG) ?? {
          ...read,
          source: sourceIn(form),
        },
    ),
    boughtStock: asked.boughtStock ? true : undefined,
    pack: asked.pack ?? undefined,
    carries: nature === null ? before?.carries : carriesFor(nature, before?.carries),
  };
  const parsed = ingredientSchema.safeParse(raw);
  if (!parsed.success)
    return refuse(
      ...parsed.error.issues.map(issue => ({
        code: "OUT_OF_RANGE" as const,
        field: issue.path.join("."),
        message: `${capital(String(issue.path.at(-1) ?? "This"))}: that cannot be. ${issue.message}.`,
      })),
    );
  return checkIngredient(parsed.data);
}

const sameComposition = (was: Composition, is: Readonly<Record<string, number>>): boolean =>
  Object.entries(was).every(([key, value]) => Math.abs(value - (is[key] ?? 0)) < 5e-4);

/** Whether the source named belongs to another figure that was changed, and not to the composition. */
const onlyOther = (
  is: { densityGPerMl: number | null; ediblePct: number; juicePct: number | null },
  before: Ingredient,
): boolean =>
  (["densityGPerMl", "ediblePct", "juicePct"] as const).some(
    field => (is[field] ?? undefined) !== before[field],
  );

/** Where the figures of this edit come from; measured here unless something else is said. */
function sourceIn(form: FormData): Source {
  const mark = String(form.get("source.mark") ?? "measured");
  const text = String(form.get("source.text") ?? "").trim();
  const known = MARKS.find(m => m === mark) ?? "measured";
  return { mark: known, text: text || (known === "measured" ? "measured here" : "no source given") };
}

const MEASURED_HERE: Source = { mark: "measured", text: "measured here" };

/** Where a changed figure beside the composition comes from: a source nobody touched is still that of the composition. */
function sourceOfOther(form: FormData, before: Ingredient | null): Source {
  const source = sourceIn(form);
  const was = before?.compositionSource;
  return was && was.mark === source.mark && was.text === source.text ? MEASURED_HERE : source;
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

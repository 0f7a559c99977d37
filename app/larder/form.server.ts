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
import { checkName, idFor } from "~/core/ground/names";
import { type Problem, type Result, ok, refuse } from "~/core/ground/result";
import { numberInForm } from "../number-in-form.server";

/** The edit form of an ingredient, as plain text fields. */

const MARKS = ["P", "M", "T", "E", "measured"] as const;

/** A number that is never negative; empty counts as `empty`. */
function numberIn(form: FormData, field: string, label: string, empty: number | null): Result<number | null> {
  const read = numberInForm(form, field, label);
  if (!read.ok) return read;
  if (read.value !== null && read.value < 0)
    return refuse({ code: "NEGATIVE", field, value: read.value, message: `${label} cannot be negative.` });
  return ok(read.value ?? empty);
}

const listIn = (form: FormData, field: string): string[] =>
  String(form.get(field) ?? "")
    .split(/[,;\n]/)
    .map(word => word.trim())
    .filter(Boolean);

/**
 * Reads the form. What is kept of the old entry is what the form does not ask.
 * @errors every field that cannot be read, with its name; then what `checkIngredient` refuses
 */
export function readIngredientForm(form: FormData, before: Ingredient | null): Result<Ingredient> {
  const problems: Problem[] = [];
  const take = (read: Result<number | null>): number | null => {
    if (read.ok) return read.value;
    problems.push(...read.problems);
    return null;
  };
  const name = String(form.get("name") ?? "").trim();
  problems.push(...checkName(name));
  const composition = Object.fromEntries(
    [...COMPOSITION_TOTALS, "collagen", "volatileAcid"].map(key => [
      key,
      take(numberIn(form, `composition.${key}`, key === "volatileAcid" ? "Acetic acid" : capital(key), 0)) ??
        0,
    ]),
  );
  const ediblePct = take(numberIn(form, "ediblePct", "Used part", 100)) ?? 100;
  const juicePct = take(numberIn(form, "juicePct", "Juice", null));
  const density = take(numberIn(form, "densityGPerMl", "Density", null));
  const measures = listIn(form, "measures").flatMap((text, i): Ingredient["measures"][number][] => {
    const found = /^(.+?)\s*[=:]\s*([\d.,]+)\s*g?(?:\s*\(\s*([\d.,]+)\s*[–-]\s*([\d.,]+)\s*\))?$/.exec(text);
    const numbers = found?.slice(2, 5).map(n => (n === undefined ? undefined : Number(n.replace(",", "."))));
    const [massG, lo, hi] = numbers ?? [];
    if (!found?.[1] || massG === undefined || !(massG > 0)) {
      problems.push({
        code: "NOT_UNDERSTOOD",
        field: "measures",
        value: text,
        message: `Measure ${i + 1}: “${text}”. Write it as “piece = 150 (90–230)”.`,
      });
      return [];
    }
    const measure = found[1];
    const old = before?.measures.find(m => m.name === measure && m.massG === massG);
    return [
      old ?? {
        name: measure,
        massG,
        loG: lo ?? massG * 0.75,
        hiG: hi ?? massG * 1.25,
        source: sourceIn(form, "source"),
      },
    ];
  });
  if (problems.length) return refuse(...problems);
  const picked = (field: string, all: readonly string[]) =>
    form
      .getAll(field)
      .map(String)
      .filter(x => all.includes(x));
  const solidKind = String(form.get("solidKind") ?? "");
  // A form that does not ask leaves it as it was.
  const asked = form.get("nature");
  const nature = NATURES.find(n => n === asked);
  const raw = {
    ...before,
    id: before?.id ?? idFor(name),
    name,
    aliases: listIn(form, "aliases"),
    composition,
    compositionSource:
      before && sameComposition(before.composition, composition) && onlyOther(form, before)
        ? before.compositionSource
        : sourceIn(form, "source"),
    phase: String(form.get("phase") ?? "liquor"),
    solidKind: (SOLID_KINDS as readonly string[]).includes(solidKind) ? solidKind : undefined,
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
    allergens: form.get("allergensKnown") === "yes" ? picked("allergens", ALLERGEN_IDS) : null,
    diet: picked("diet", DIET_FLAGS),
    measures,
    boughtStock: form.get("boughtStock") === "yes" ? true : undefined,
    carries: nature === undefined ? before?.carries : carriesFor(nature, before?.carries),
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
const onlyOther = (form: FormData, before: Ingredient): boolean =>
  [
    ["densityGPerMl", before.densityGPerMl],
    ["ediblePct", before.ediblePct],
    ["juicePct", before.juicePct],
  ].some(([field, was]) => {
    const text = String(form.get(String(field)) ?? "")
      .trim()
      .replace(",", ".");
    return (text === "" ? undefined : Number(text)) !== was;
  });

/** Where the figures of this edit come from; measured here unless something else is said. */
function sourceIn(form: FormData, field: string): Source {
  const mark = String(form.get(`${field}.mark`) ?? "measured");
  const text = String(form.get(`${field}.text`) ?? "").trim();
  const known = MARKS.find(m => m === mark) ?? "measured";
  return { mark: known, text: text || (known === "measured" ? "measured here" : "no source given") };
}

const MEASURED_HERE: Source = { mark: "measured", text: "measured here" };

/** Where a changed figure beside the composition comes from: a source nobody touched is still that of the composition. */
function sourceOfOther(form: FormData, before: Ingredient | null): Source {
  const source = sourceIn(form, "source");
  const was = before?.compositionSource;
  return was && was.mark === source.mark && was.text === source.text ? MEASURED_HERE : source;
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

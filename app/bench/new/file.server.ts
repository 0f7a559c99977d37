import { ulid } from "ulid";
import { type Arrivals, arrivalsOf, readBundle } from "~/core/exchange";
import { importIngredients, insertFormula, bringInVersion, database } from "~/data";
import { kitchenOf } from "../../kitchen.server";
import type { SectionWithPerson } from "../../people/person.server";

export interface FilePreview {
  readonly arrivals: Arrivals | null;
  readonly problems: readonly string[];
}

/** Holds a file against this kitchen without writing anything. */
export async function previewFile(section: SectionWithPerson, text: string): Promise<FilePreview> {
  if (!text.trim())
    return { arrivals: null, problems: ["There is nothing in it. Choose a file, or paste one."] };
  const bundle = readBundle(text);
  const arrivals = bundle.ok ? arrivalsOf(bundle.value, await kitchenOf(section.kitchenId), ulid) : bundle;
  return arrivals.ok
    ? { arrivals: arrivals.value, problems: [] }
    : { arrivals: null, problems: arrivals.problems.slice(0, 20).map(p => p.message) };
}

/** Brings in what was previewed: ingredients first, then new formulas, then newer versions of those that are here. */
export async function bringIn(section: SectionWithPerson, arrivals: Arrivals): Promise<void> {
  const { db } = database();
  const change = { kitchenId: section.kitchenId, personId: section.person.id, now: new Date() };
  if (arrivals.ingredients.length) await importIngredients(db, change, arrivals.ingredients);
  for (const { id, document, kind } of arrivals.formulas) {
    if (kind === "new") await insertFormula(db, { ...change, id, document });
    if (kind === "newer")
      await bringInVersion(db, { ...change, id, document, reason: "brought in from a file" });
  }
}

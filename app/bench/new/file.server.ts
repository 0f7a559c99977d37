import { isValid, ulid } from "ulid";
import { type Arrivals, arrivalsOf, readBundle } from "~/core/exchange";
import { importIngredients, insertFormula, bringInVersion, database } from "~/data";
import { wholeKitchen } from "../../kitchen/kitchen.server";
import type { SectionWithPerson } from "../../people/person.server";

export interface FilePreview {
  readonly arrivals: Arrivals | null;
  readonly problems: readonly string[];
}

/**
 * Holds a file against this kitchen without writing anything.
 * @param named id for a formula that brings none; the page names it, so that it is made once
 */
export async function previewFile(
  section: SectionWithPerson,
  text: string,
  named: string,
): Promise<FilePreview> {
  if (!text.trim())
    return { arrivals: null, problems: ["There is nothing in it. Choose a file, or paste one."] };
  const bundle = readBundle(text);
  const arrivals = bundle.ok
    ? arrivalsOf(bundle.value, await wholeKitchen(section), () => (isValid(named) ? named : ulid()))
    : bundle;
  return arrivals.ok
    ? { arrivals: arrivals.value, problems: [] }
    : { arrivals: null, problems: arrivals.problems.slice(0, 20).map(p => p.message) };
}

/**
 * Brings in what was previewed: ingredients first, then new formulas, then newer versions of those that are here.
 * All of it or nothing.
 */
export async function bringIn(section: SectionWithPerson, arrivals: Arrivals): Promise<void> {
  const change = { kitchenId: section.kitchenId, personId: section.person.id, now: new Date() };
  await database().db.transaction(async tx => {
    if (arrivals.ingredients.length) await importIngredients(tx, change, arrivals.ingredients);
    for (const { id, document, kind } of arrivals.formulas) {
      if (kind === "new") await insertFormula(tx, { ...change, id, document });
      if (kind === "newer")
        await bringInVersion(tx, { ...change, id, document, reason: "brought in from a file" });
    }
  });
}

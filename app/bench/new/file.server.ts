import { isValid, ulid } from "ulid";
import { type Arrivals, type Brought, arrivalsOf, readForeign } from "~/core/exchange";
import { importIngredients, insertFormula, bringInVersion, database } from "~/data";
import { wholeKitchen } from "../../kitchen/kitchen.server";
import type { SectionWithPerson } from "../../people/person.server";

export interface FilePreview {
  readonly arrivals: Arrivals | null;
  /** A recipe that has to be understood first. */
  readonly words: Extract<Brought, { kind: "words" }> | null;
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
  const brought = readForeign(text);
  if (brought.ok && brought.value.kind === "words")
    return { arrivals: null, words: brought.value, problems: [] };
  const arrivals =
    brought.ok && brought.value.kind === "formulas"
      ? arrivalsOf(brought.value.bundle, await wholeKitchen(section), () => (isValid(named) ? named : ulid()))
      : (brought as Extract<typeof brought, { ok: false }>);
  return arrivals.ok
    ? { arrivals: arrivals.value, words: null, problems: [] }
    : { arrivals: null, words: null, problems: arrivals.problems.slice(0, 20).map(p => p.message) };
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

import { kindOf } from "../steps";
import type { Step } from "../steps";
import { type FormulaDocument, readFormula } from "../document/document";
import { type Result } from "../../ground/result";

/** Two edits of the same thing that cannot both stand. */
export interface Conflict {
  /** Path of the thing, such as `steps.simmer.holdC` or `steps.season.lines.salt-line.amount`. */
  readonly at: string;
  readonly mine: unknown;
  readonly theirs: unknown;
}

/** What was chosen for a conflict, by its path. */
export type Picks = Readonly<Record<string, "mine" | "theirs">>;

export interface Merged {
  readonly document: FormulaDocument;
  /** What both changed, in the order of the line; unpicked ones stand as mine. */
  readonly conflicts: readonly Conflict[];
}

type Loose = Readonly<Record<string, unknown>>;
interface Keyed extends Loose {
  readonly id: string;
}

const isLoose = (x: unknown): x is Loose => typeof x === "object" && x !== null && !Array.isArray(x);
const isKeyedList = (x: unknown): x is readonly Keyed[] =>
  Array.isArray(x) && x.every(item => isLoose(item) && typeof item.id === "string");

/** Same in meaning: undefined fields count as missing. */
export const sameValue = (a: unknown, b: unknown): boolean => {
  if (Object.is(a, b)) return true;
  if (Array.isArray(a) && Array.isArray(b))
    return a.length === b.length && a.every((x, i) => sameValue(x, b[i]));
  if (!isLoose(a) || !isLoose(b)) return false;
  const keys = new Set([...Object.keys(a), ...Object.keys(b)]);
  return [...keys].every(key => sameValue(a[key], b[key]));
};

/** Fields that only mean something as a whole. */
const WHOLE: ReadonlySet<string> = new Set([
  "amount",
  "of",
  "target",
  "targets",
  "total",
  "bounds",
  "keeps",
  "trim",
]);

/**
 * Joins two edits of one formula, line by line.
 *
 * What only one side changed is taken; what both changed to the same is the same; what both changed otherwise is a
 * conflict, and stands as picked (mine until somebody picks). A line that one side removed and the other changed is a
 * conflict too: nothing is lost silently. Order follows the side that moved things.
 *
 * @param base   what both started from
 * @errors those of `readFormula`, when the two together make no formula
 */
export function mergeDocuments(
  base: FormulaDocument,
  mine: FormulaDocument,
  theirs: FormulaDocument,
  picks: Picks = {},
): Result<Merged> {
  const conflicts: Conflict[] = [];
  const clash = (path: readonly string[], m: unknown, t: unknown): unknown => {
    const at = path.join(".");
    conflicts.push({ at, mine: m, theirs: t });
    return picks[at] === "theirs" ? t : m;
  };
  // The last of the path is a field, or the id of a step or a line, which may be called like one.
  const merge = (b: unknown, m: unknown, t: unknown, path: readonly string[], isField = true): unknown => {
    if (sameValue(m, t) || sameValue(b, t)) return m;
    if (sameValue(b, m)) return t;
    if (isField && WHOLE.has(path.at(-1) ?? "")) return clash(path, m, t);
    if (isKeyedList(m) && isKeyedList(t)) return mergeLists(isKeyedList(b) ? b : [], m, t, path);
    if (isLoose(m) && isLoose(t)) {
      const from = isLoose(b) ? b : {};
      const keys = [...new Set([...Object.keys(m), ...Object.keys(t)])];
      return Object.fromEntries(
        keys
          .map(key => [key, merge(from[key], m[key], t[key], [...path, key])] as const)
          .filter(([, value]) => value !== undefined),
      );
    }
    return clash(path, m, t);
  };
  const mergeLists = (
    b: readonly Keyed[],
    m: readonly Keyed[],
    t: readonly Keyed[],
    path: readonly string[],
  ) => {
    const inB = byId(b);
    const inM = byId(m);
    const inT = byId(t);
    const kept = new Map<string, Keyed>();
    for (const id of new Set([...inM.keys(), ...inT.keys()])) {
      const [was, my, their] = [inB.get(id), inM.get(id), inT.get(id)];
      let merged: unknown;
      if (my && their) merged = merge(was, my, their, [...path, id], false);
      else if (!was) merged = my ?? their;
      else if (sameValue(was, my ?? their)) merged = undefined;
      else merged = clash([...path, id], my, their);
      if (merged !== undefined) kept.set(id, merged as Keyed);
    }
    const orderOf = (list: readonly Keyed[]) =>
      list.map(x => x.id).filter(id => inB.has(id) && inM.has(id) && inT.has(id));
    const iMoved = !sameValue(orderOf(m), orderOf(b));
    const [lead, other] = iMoved ? [m, t] : [t, m];
    const order = lead.map(x => x.id).filter(id => kept.has(id));
    other.forEach((item, i) => {
      if (order.includes(item.id) || !kept.has(item.id)) return;
      const before = other
        .slice(0, i)
        .reverse()
        .find(x => order.includes(x.id));
      order.splice(before ? order.indexOf(before.id) + 1 : 0, 0, item.id);
    });
    return order.flatMap(id => kept.get(id) ?? []);
  };
  const merged = merge(base, mine, theirs, []) as FormulaDocument;
  /** A line that went into another step on one side stands twice now: it stays where the side that counts has it. */
  const once = (document: FormulaDocument): FormulaDocument => {
    const steps = new Map<string, string[]>();
    for (const step of document.steps)
      for (const { id } of step.lines) steps.set(id, [...(steps.get(id) ?? []), step.id]);
    const stays = new Map<string, string>();
    for (const [id, holders] of steps) {
      if (holders.length < 2) continue;
      const [my, their] = [stepWith(mine, id), stepWith(theirs, id)];
      const about = conflicts.filter(c => c.at.endsWith(`.lines.${id}`) || c.at === `steps.${my?.id}`);
      const takesTheirs = about.length
        ? about.some(c => picks[c.at] === "theirs")
        : clash(["steps", my?.id ?? "", "lines", id], my && titleOf(my), their && titleOf(their)) ===
          (their && titleOf(their));
      const [wanted, other] = takesTheirs ? [their, my] : [my, their];
      stays.set(
        id,
        [wanted?.id, other?.id].find(step => step && holders.includes(step)) ?? (holders[0] as string),
      );
    }
    return stays.size === 0
      ? document
      : {
          ...document,
          steps: document.steps.map(step => ({
            ...step,
            lines: step.lines.filter(({ id }) => (stays.get(id) ?? step.id) === step.id),
          })),
        };
  };
  const read = readFormula(once(merged));
  return read.ok ? { ok: true, value: { document: read.value, conflicts }, warnings: [] } : read;
}

const stepWith = (document: FormulaDocument, lineId: string): Step | undefined =>
  document.steps.find(step => step.lines.some(line => line.id === lineId));

const titleOf = (step: Step): string => kindOf(step).title(step, []);

const byId = (list: readonly Keyed[]): Map<string, Keyed> => new Map(list.map(item => [item.id, item]));

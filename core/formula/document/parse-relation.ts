import { type Ingredient, ingredientCalled, plainName, readMeasure } from "../../things/larder";
import { readNumber } from "../../ground/quantity";
import { type Problem, type Result, ok, refuse } from "../../ground/result";
import type { AmountRelation, Certainty, Group, Line, Reachable } from "../steps/amount";
import { type FormulaDocument, linesOf } from "./document";

export interface ReadRelation {
  readonly relation: AmountRelation;
  /** What was typed, where a spoon or a cup became grams. */
  readonly typed?: string;
  /** How sure an amount typed like this can be: a knob is assumed until somebody weighs it. */
  readonly certainty?: Certainty;
  /** How it was read, to stand beside what was typed. */
  readonly understood?: string;
}

export interface RelationContext {
  readonly document: FormulaDocument;
  /** Group the line is in; "parts" without one belong to the only group there is. */
  readonly inGroup?: string;
  /** What it is an amount of; a spoon, a knob or a piece is weighed by it. */
  readonly ingredient: Ingredient | null;
  /** Where names of other lines are looked up. */
  readonly larder: readonly Ingredient[];
  readonly field: string;
}

const REACHED_WORDS: Readonly<Record<string, Reachable>> = {
  salt: "salt",
  sugar: "sugar",
  acid: "acid",
  acidity: "acid",
  fat: "fat",
};
const TIMES_WORDS: Readonly<Record<string, number>> = { half: 0.5, twice: 2, double: 2, "a third of": 1 / 3 };

/**
 * Reads an amount of a line as a cook types it.
 *
 * "12 %", "12 % of carcasses", "12 % of the wine", "8 g per kg of bones" · "2 parts", "2 parts onion" · "60 g/l finished" · "8 g/kg" · "5 g a portion" ·
 * "to 0.8 % salt", "to 30 °Bx" · "same as the soy", "half the soy" · "by feel", "by feel 3 g" · "500 g", "1½ cups", "a knob"
 *
 * @errors those of `readMeasure` · UNKNOWN_ID parts without a group, a line nobody knows · WRONG_UNIT a volume without a density
 */
export function parseRelation(text: string, context: RelationContext): Result<ReadRelation> {
  const typed = text.trim();
  for (const read of [readFeel, readReach, readEqual, readParts, readPer, readShareOf]) {
    const found = read(typed, context);
    if (found) return found;
  }
  return readShareOrMeasure(typed, context);
}

type Reader = (typed: string, context: RelationContext) => Result<ReadRelation> | null;

const readFeel: Reader = (typed, context) => {
  const feel = /^(?:by\s+(?:feel|eye|taste)|to\s+taste|as\s+(?:needed|required))\b[\s,:(]*(.*?)\)?$/i.exec(
    typed,
  );
  if (!feel) return null;
  const about = feel[1]?.replace(/^about\s+/i, "").trim();
  if (!about) return ok({ relation: { kind: "by-feel", massG: 0 }, certainty: "assumed" });
  const weighed = readMeasure(about, context.larder, context.ingredient, context.field);
  if (!weighed.ok) return weighed;
  return ok({ relation: { kind: "by-feel", massG: weighed.value.massG ?? 0 }, certainty: "assumed" });
};

const readReach: Reader = (typed, { field }) => {
  const reach = /^to\s+(.+?)\s*(?:%|per ?cent)\s*(?:of\s+)?(salt|sugar|acid|acidity|fat)$/i.exec(typed);
  const brix = /^to\s+(.+?)\s*(?:°\s*(?:bx|brix)|bx|brix)$/i.exec(typed);
  const match = reach ?? brix;
  if (!match) return null;
  const number = readNumber(match[1] ?? "", field);
  if (!number.ok) return number;
  const what = brix ? "brix" : (REACHED_WORDS[(reach?.[2] ?? "").toLowerCase()] ?? "salt");
  if (!(number.value.value > 0 && number.value.value <= 99)) return refuse(notPositive(field, typed));
  return ok({ relation: { kind: "to-reach", what, value: number.value.value } });
};

const readEqual: Reader = (typed, context) => {
  const { document, larder, field } = context;
  const equal = /^(?:(?:the\s+)?(?:same|as much)\s+as|equal\s+to|=)\s*(?:the\s+)?(.+)$/i.exec(typed);
  const times = /^(half|twice|double|a third of|[\d.,½⅓¼]+\s*(?:×|x|times))\s*(?:the\s+)?([a-z].+)$/i.exec(
    typed,
  );
  const name = equal?.[1] ?? times?.[2];
  if (!name) return null;
  let factor = 1;
  if (times) {
    const word = TIMES_WORDS[(times[1] ?? "").toLowerCase()];
    const number = word === undefined ? readNumber(times[1] ?? "", field) : ok({ value: word, rest: "" });
    if (!number.ok) return number;
    factor = number.value.value;
  }
  const line = lineCalled(name, document, larder) ?? linesOf(document).find(l => l.id === name.trim());
  if (!line) {
    // "half the soy" is of a line; "half a litre" is an amount of its own.
    const measured = times ? readShareOrMeasure(typed, context) : null;
    if (measured && (measured.ok || /^an?\s/i.test(name))) return measured;
    return refuse({
      code: "UNKNOWN_ID",
      field,
      value: typed,
      message: `No line of this formula is “${name.trim()}”. Put it in first, or type grams.`,
    });
  }
  return ok({ relation: { kind: "equal-to", line: line.id, factor } });
};

const readParts: Reader = (typed, { document, inGroup, field }) => {
  const parts = /^(.+?)\s*parts?(?:\s+(?:of\s+)?[a-z].*)?$/i.exec(typed);
  if (!parts) return null;
  const number = readNumber(parts[1] ?? "", field);
  if (!number.ok) return number;
  const group = groupFor(document.groups, inGroup);
  if (!group)
    return refuse({
      code: "UNKNOWN_ID",
      field,
      value: typed,
      message: "Parts of what? This formula has no group to share out. Type a share such as 6 %, or grams.",
    });
  if (!(number.value.value > 0)) return refuse(notPositive(field, typed));
  return ok({ relation: { kind: "part", group: group.id, parts: number.value.value } });
};

const PER = [
  [/^(.+?)\s*g\s*(?:\/|per|a|each)\s*(?:finished\s+)?l(?:it(?:re|er))?(?:\s+finished)?$/i, "litre"],
  [/^(.+?)\s*g\s*(?:\/|per|a)\s*(?:finished\s+)?kg(?:\s+finished)?$/i, "kg"],
  [/^(.+?)\s*g\s*(?:\/|per|a|each)\s*(?:portion|cover|plate)$/i, "portion"],
] as const;

const readPer: Reader = (typed, { field }) => {
  for (const [pattern, per] of PER) {
    const match = pattern.exec(typed);
    if (!match) continue;
    const number = readNumber(match[1] ?? "", field);
    if (!number.ok) return number;
    const value = number.value.value;
    if (value < 0) return refuse(notPositive(field, typed));
    return ok({
      relation:
        per === "litre"
          ? { kind: "per-litre", gPerL: value }
          : per === "kg"
            ? { kind: "per-kg", gPerKg: value }
            : { kind: "per-portion", gPerPortion: value },
    });
  }
  return null;
};

const SHARES_OF = [
  [/^(.+?)\s*(?:%|per ?cent)\s+of\s+(?:the\s+)?(.+)$/i, 1],
  [/^(.+?)\s*g\s*(?:\/|per|a)\s*kg\s+(?:of\s+)?(?:the\s+)?(.+)$/i, 0.1],
] as const;

/** A share of the base, or of another line that is named: "8 g per kg of bones" is 0.8 % of them. */
const readShareOf: Reader = (typed, { document, larder, field }) => {
  for (const [pattern, pctPerUnit] of SHARES_OF) {
    const match = pattern.exec(typed);
    if (!match) continue;
    const number = readNumber(match[1] ?? "", field);
    if (!number.ok) return number;
    const pct = number.value.value * pctPerUnit;
    if (pct < 0) return refuse(notPositive(field, typed));
    const name = match[2] ?? "";
    const line = lineCalled(name, document, larder);
    const isBase =
      !line ||
      plainName(name) === plainName(document.base.name) ||
      (line.amount.kind === "share-of-base" && line.amount.pct === 100);
    return ok({
      relation: isBase
        ? { kind: "share-of-base", pct }
        : { kind: "equal-to", line: line.id, factor: pct / 100 },
    });
  }
  return null;
};

function readShareOrMeasure(typed: string, context: RelationContext): Result<ReadRelation> {
  const { field, ingredient, larder } = context;
  const share = /^(.+?)\s*(?:%|per ?cent)$/i.exec(typed);
  if (share) {
    return readShare(share[1] ?? "", typed, field);
  }
  const weighed = readMeasure(typed, larder, ingredient, field);
  if (!weighed.ok) return weighed;
  const { massG, loG, hiG, understood } = weighed.value;
  if (massG === null)
    return refuse({
      code: "WRONG_UNIT",
      field,
      value: typed,
      message: `Nobody has entered what ${ingredient?.name ?? "this"} weighs by volume. Type grams.`,
    });
  const guessed = loG !== hiG;
  return ok(
    {
      relation: { kind: "fixed", massG },
      ...(guessed && { certainty: "assumed" as const }),
      ...(inGramsAlready(typed) ? {} : { typed: typed.slice(0, 80), understood }),
    },
    weighed.warnings,
  );
}

/** "12", "10–15", "about 12" per cent of the base; the middle of a range is assumed. */
function readShare(words: string, typed: string, field: string): Result<ReadRelation> {
  const [, about, said = ""] = /^(about|around|roughly|ca\.?|~)?\s*(.*)$/i.exec(words) ?? [];
  const number = readNumber(said, field);
  if (!number.ok) return number;
  const { value, rest } = number.value;
  const to = /^\s*(?:–|-|to)\s*(.+)$/.exec(rest)?.[1];
  const most = to === undefined ? ok({ value, rest: "" }) : readNumber(to, field);
  if (!most.ok) return most;
  if (value < 0) return refuse(notPositive(field, typed));
  if (most.value.rest.trim() || (to === undefined && rest.trim()) || most.value.value < value)
    return refuse({
      code: "NOT_UNDERSTOOD",
      field,
      value: typed,
      message: `“${typed}” is not a share. Type it as 12 %, or 10–15 %.`,
    });
  const assumed = about !== undefined || to !== undefined;
  return ok({
    relation: { kind: "share-of-base", pct: (value + most.value.value) / 2 },
    ...(assumed && { certainty: "assumed" as const, typed: typed.slice(0, 80) }),
  });
}

/** The line a cook calls so: the wine is the red wine, where there is no other wine in it. */
function lineCalled(
  name: string,
  document: FormulaDocument,
  larder: readonly Ingredient[],
): Line | undefined {
  const wanted = ingredientCalled(larder, name)?.id;
  const of = (id: string) => linesOf(document).filter(l => "larder" in l.of && l.of.larder === id);
  if (wanted) return of(wanted)[0];
  const words = ` ${plainName(name)} `;
  const inIt = larder.filter(i => ` ${plainName(i.name)} `.includes(words) && of(i.id).length > 0);
  return inIt.length === 1 && inIt[0] ? of(inIt[0].id)[0] : undefined;
}

const groupFor = (groups: readonly Group[], inGroup?: string): Group | undefined =>
  groups.find(group => group.id === inGroup) ?? (groups.length === 1 ? groups[0] : undefined);

const notPositive = (field: string, value: string): Problem => ({
  code: "NEGATIVE",
  field,
  value,
  message: "An amount must be more than nothing.",
});

/** Grams and kilograms need no reminder of how they were typed. */
const inGramsAlready = (typed: string): boolean => /^[\d\s.,½⅓⅔¼¾]+\s*k?g$/i.test(typed);

/** The relation as it would be typed: what the field shows when it opens. */
export function relationAsTyped(
  relation: AmountRelation,
  lineName?: (id: string) => string | undefined,
): string {
  const plain = (x: number) => String(Math.round(x * 1000) / 1000);
  switch (relation.kind) {
    case "fixed":
      return `${plain(relation.massG)} g`;
    case "share-of-base":
      return `${plain(relation.pct)} %`;
    case "per-litre":
      return `${plain(relation.gPerL)} g/l`;
    case "per-kg":
      return `${plain(relation.gPerKg)} g/kg`;
    case "per-portion":
      return `${plain(relation.gPerPortion)} g a portion`;
    case "part":
      return `${plain(relation.parts)} ${relation.parts === 1 ? "part" : "parts"}`;
    case "equal-to": {
      const name = lineName?.(relation.line) ?? relation.line;
      return relation.factor === 1 ? `same as ${name}` : `${plain(relation.factor)} × ${name}`;
    }
    case "to-reach":
      return relation.what === "brix"
        ? `to ${plain(relation.value)} °Bx`
        : `to ${plain(relation.value)} % ${relation.what}`;
    case "by-feel":
      return relation.massG > 0 ? `by feel ${plain(relation.massG)} g` : "by feel";
  }
}

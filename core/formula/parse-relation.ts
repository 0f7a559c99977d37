import { parseAmount, readNumber } from "../quantity";
import type { Density } from "../quantity";
import { type Problem, type Result, type Warning, ok, refuse } from "../result";
import type { AmountRelation, Group } from "./amount";
import type { FormulaDocument } from "./document";

export interface ReadRelation {
  readonly relation: AmountRelation;
  /** What was typed, where a spoon or a cup became grams. */
  readonly typed?: string;
}

/**
 * Reads an amount of a line as a cook types it.
 *
 * "12 %" or "12 % of carcasses" · "2 parts" · "4 g/l", "60 g per litre" · "500 g", "1½ cups"
 *
 * @param groups   groups "parts" may belong to; `inGroup` is the one the line is in, else the only one there is
 * @param density  of the ingredient, so that volumes become grams
 * @errors those of `parseAmount` · UNKNOWN_ID parts without a group · WRONG_UNIT a volume without a density
 */
export function parseRelation(
  text: string,
  context: {
    document: FormulaDocument;
    inGroup?: string;
    density?: Density;
    ingredient: string;
    field: string;
  },
): Result<ReadRelation> {
  const { document, field } = context;
  const typed = text.trim();

  const parts = /^(.+?)\s*parts?$/i.exec(typed);
  if (parts) {
    const number = readNumber(parts[1] ?? "", field);
    if (!number.ok) return number;
    const group = groupFor(document.groups, context.inGroup);
    if (!group)
      return refuse({
        code: "UNKNOWN_ID",
        field,
        value: text,
        message: "Parts of what? This formula has no group to share out. Type a share such as 6 %, or grams.",
      });
    if (!(number.value.value > 0)) return refuse(notPositive(field, text));
    return ok({ relation: { kind: "part", group: group.id, parts: number.value.value } });
  }

  const perLitre = /^(.+?)\s*g\s*(?:\/|per)\s*(?:finished\s+)?l(?:it(?:re|er))?(?:\s+finished)?$/i.exec(
    typed,
  );
  if (perLitre) {
    const number = readNumber(perLitre[1] ?? "", field);
    if (!number.ok) return number;
    if (number.value.value < 0) return refuse(notPositive(field, text));
    return ok({ relation: { kind: "per-litre", gPerL: number.value.value } });
  }

  const share = /^(.+?%)(?:\s+of\s+.*)?$/.exec(typed);
  const amount = parseAmount(share?.[1] ?? typed, {
    density: context.density,
    ingredient: context.ingredient,
    field,
  });
  if (!amount.ok) return amount;
  switch (amount.value.kind) {
    case "share":
      return ok({ relation: { kind: "share-of-base", pct: amount.value.pct } });
    case "mass":
      return ok(
        { relation: { kind: "fixed", massG: amount.value.massG }, ...spoonful(typed) },
        amount.warnings,
      );
    case "volume": {
      const { massG } = amount.value;
      if (massG === undefined)
        return refuse({
          code: "WRONG_UNIT",
          field,
          value: text,
          message: `Nobody has entered what ${context.ingredient} weighs by volume. Type grams.`,
        });
      const warnings: Warning[] = [...amount.warnings];
      return ok({ relation: { kind: "fixed", massG }, typed }, warnings);
    }
  }
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
const spoonful = (typed: string): { typed?: string } =>
  /^[\d\s.,½⅓⅔¼¾]+\s*k?g$/i.test(typed) ? {} : { typed };

/** The relation as it would be typed: what the field shows when it opens. */
export function relationAsTyped(relation: AmountRelation): string {
  const plain = (x: number) => String(Math.round(x * 1000) / 1000);
  switch (relation.kind) {
    case "fixed":
      return `${plain(relation.massG)} g`;
    case "share-of-base":
      return `${plain(relation.pct)} %`;
    case "per-litre":
      return `${plain(relation.gPerL)} g/l`;
    case "part":
      return `${plain(relation.parts)} ${relation.parts === 1 ? "part" : "parts"}`;
  }
}

import { ingredientCalled, plainName } from "../things/larder";
import { parseAmount, readNumber } from "../ground/quantity";
import { parseReductionTarget } from "../laws/reduction";
import { type Result, ok } from "../ground/result";
import { type SumField, fieldsOf } from "./field";
import { SUMS } from "./registry";
import type { AnySum, SumWorld } from "./sum";

/** A sum as somebody says it: "ice 8 l 85 to 20", "mirepoix 18 kg", "dip mark tall pot 6 l by half". */
export interface Spoken {
  readonly sum: AnySum;
  /** What of the input was said; the rest is still to be asked. */
  readonly input: Readonly<Record<string, unknown>>;
}

const AMOUNT =
  /(\d[\d.,]*)\s*(kg|g|lb|oz|l|dl|cl|ml|qt|cups?|%|h|hours?|min|minutes?|mm|cm|°?C|m|w|covers?|plates?)(?![a-z])/gi;
const FROM_TO = /(-?\d+(?:[.,]\d+)?)\s*°?\s*C?\s*(?:to|→|–|-)\s*(-?\d+(?:[.,]\d+)?)\s*°?\s*C?\b/i;
/** Said as a pair: "85 to 20". */
const FROM_TO_FIELDS = ["fromC", "toC"];
const SHARE =
  /\b(by|to)\s+(a\s+)?(half|thirds?|two thirds|quarter|three quarters|fifth|eighth|tenth|\d+\s*%|\d\s*\/\s*\d)/i;

/** Which sum the first words name, and what is left of the text. */
function named(text: string): { sum: AnySum; rest: string } | null {
  const words = text.trim().split(/\s+/);
  for (let n = Math.min(4, words.length); n > 0; n--) {
    const head = plainName(words.slice(0, n).join(" "));
    const sum = SUMS.find(
      s =>
        plainName(s.name) === head || plainName(s.title) === head || s.words.some(w => plainName(w) === head),
    );
    if (sum) return { sum, rest: words.slice(n).join(" ") };
  }
  return null;
}

/** What is asked first is meant first. */
export function inOrder(sum: AnySum): {
  readonly asked: readonly SumField[];
  readonly more: readonly SumField[];
} {
  const fields = fieldsOf(sum.input);
  return {
    asked: sum.asks.flatMap(name => fields.find(f => f.name === name) ?? []),
    more: fields.filter(f => !sum.asks.includes(f.name)),
  };
}

/**
 * Understands a sum as it is said. `null`: no sum begins so.
 * What cannot be placed is left out; nothing is guessed.
 */
export function readSpoken(text: string, world: SumWorld): Spoken | null {
  const found = named(text);
  if (!found) return null;
  const { sum } = found;
  const { asked, more } = inOrder(sum);
  const fields = [...asked, ...more];
  const has = (typed: SumField["typed"]) => fields.find(f => f.typed === typed);
  if (asked[0]?.typed === "text") return { sum, input: found.rest ? { text: found.rest } : {} };

  const input: Record<string, unknown> = {};
  let rest = found.rest;
  const cut = (match: RegExpExecArray) => {
    rest = `${rest.slice(0, match.index)} ${rest.slice(match.index + match[0].length)}`;
  };
  const free = (test: (field: SumField) => boolean) =>
    fields.find(
      f =>
        !(f.name in input) &&
        !fields.some(other => f.oneOf && other.oneOf === f.oneOf && other.name in input) &&
        test(f),
    );

  const share = SHARE.exec(rest);
  const target = has("target");
  if (share && target) {
    const read = parseReductionTarget(share[0], shareOf);
    if (read.ok) {
      input[target.name] = read.value;
      cut(share);
    }
  }
  const range = FROM_TO.exec(rest);
  if (range && FROM_TO_FIELDS.every(name => fields.some(f => f.name === name))) {
    input.fromC = Number(range[1]?.replace(",", "."));
    input.toC = Number(range[2]?.replace(",", "."));
    cut(range);
  }
  for (const match of rest.matchAll(AMOUNT)) {
    const value = Number((match[1] ?? "").replace(",", "."));
    const unit = (match[2] ?? "").toLowerCase();
    const field = fieldForUnit(unit, free);
    if (field) input[field.name] = value * factorOf(unit, field.unit);
  }
  rest = rest.replace(AMOUNT, " ").replace(/\s+/g, " ").trim();
  const vessel = world.vessels.find(v => rest.toLowerCase().includes(v.name.toLowerCase()));
  const pot = has("vessel");
  if (vessel && pot) {
    input[pot.name] = { id: vessel.id };
    rest = rest.toLowerCase().replace(vessel.name.toLowerCase(), " ").trim();
  }
  for (const word of rest.split(/\s+/).filter(Boolean)) placeWord(word, input, fields);
  const thing = free(f => f.typed === "ingredient");
  const name = rest.replace(/\b(of|in|from|for|with|the|a|on|lid)\b/gi, " ").trim();
  if (thing && name && ingredientCalled(world.ingredients, name)) input[thing.name] = name;
  // A bare number goes to what is asked first and counts.
  const bare = /(?:^|\s)(\d[\d.,]*)(?:\s|$)/.exec(rest);
  const counting = free(f => f.said.length > 0);
  if (bare && counting) input[counting.name] = Number((bare[1] ?? "").replace(",", "."));
  return { sum, input };
}

function shareOf(text: string): Result<{ share?: number; massG?: number; volumeMl?: number }> {
  const fraction = /^(\d)\s*\/\s*(\d)$/.exec(text.trim());
  if (fraction) return ok({ share: Number(fraction[1]) / Number(fraction[2]) });
  const amount = parseAmount(text, { field: "target" });
  if (!amount.ok) {
    const number = readNumber(text, "target");
    return number.ok ? ok({ share: number.value.value }) : amount;
  }
  return amount.value.kind === "share" ? ok({ share: amount.value.pct / 100 }) : ok(amount.value);
}

/** The units a field may have for what was said in another. */
const HELD_IN: readonly (readonly [said: RegExp, units: readonly string[]])[] = [
  [/^(kg|g|lb|oz)$/, ["g"]],
  [/^(l|dl|cl|ml|qt|cups?)$/, ["ml"]],
  [/^%$/, ["%"]],
  [/^h/, ["h", "min"]],
  [/^min/, ["min", "h"]],
  [/^(mm|cm)$/, ["mm"]],
  [/c$/, ["°C"]],
  [/^m$/, ["m"]],
];

function fieldForUnit(
  said: string,
  free: (test: (f: SumField) => boolean) => SumField | undefined,
): SumField | undefined {
  const units = HELD_IN.find(([pattern]) => pattern.test(said))?.[1];
  return units
    ? free(f => f.typed === "number" && f.unit !== undefined && units.includes(f.unit))
    : free(f => f.said.includes(said));
}

function factorOf(unit: string, held: string | undefined): number {
  switch (unit) {
    case "kg":
    case "l":
      return 1000;
    case "lb":
      return 453.59237;
    case "oz":
      return 28.349523125;
    case "dl":
      return 100;
    case "cl":
    case "cm":
      return 10;
    case "qt":
      return 946.352946;
    case "cup":
    case "cups":
      return 236.5882365;
    default:
      if (/^h/.test(unit)) return held === "min" ? 60 : 1;
      if (/^min/.test(unit)) return held === "h" ? 1 / 60 : 1;
      return 1;
  }
}

/** A word that is one of the choices of a field: "veal", "on", "flamed", "walk-in". */
function placeWord(word: string, input: Record<string, unknown>, fields: readonly SumField[]): void {
  for (const field of fields) {
    if (field.name in input) continue;
    const chosen = field.choices.find(([value, words]) =>
      [String(value), words].some(said => said.toLowerCase() === word.toLowerCase()),
    );
    if (chosen) {
      input[field.name] = chosen[0];
      return;
    }
  }
}

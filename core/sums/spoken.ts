import { ingredientCalled, plainName } from "../larder";
import { parseAmount, readNumber } from "../quantity";
import { parseReductionTarget } from "../reduction";
import { type Result, ok } from "../result";
import { SUMS } from "./registry";
import type { AnySum, SumWorld } from "./sum";

/** A sum as somebody says it: "ice 8 l 85 to 20", "mirepoix 18 kg", "dip mark tall pot 6 l by half". */
export interface Spoken {
  readonly sum: AnySum;
  /** What of the input was said; the rest is still to be asked. */
  readonly input: Readonly<Record<string, unknown>>;
}

const MASSES = /G$/;
const VOLUMES = /Ml$/;
const AMOUNT =
  /(\d[\d.,]*)\s*(kg|g|lb|oz|l|dl|cl|ml|qt|cups?|%|h|hours?|min|minutes?|mm|cm|°?C|m|w|covers?|plates?)(?![a-z])/gi;
const FROM_TO = /(-?\d+(?:[.,]\d+)?)\s*°?\s*C?\s*(?:to|→|–|-)\s*(-?\d+(?:[.,]\d+)?)\s*°?\s*C?\b/i;
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

const fieldsOf = (sum: AnySum): string[] => {
  const shape = (sum.input as unknown as { shape?: Record<string, unknown> }).shape ?? {};
  // What is asked first is meant first.
  return [...sum.asks, ...Object.keys(shape).filter(key => !sum.asks.includes(key))];
};

/**
 * Understands a sum as it is said. `null`: no sum begins so.
 * What cannot be placed is left out; nothing is guessed.
 */
export function readSpoken(text: string, world: SumWorld): Spoken | null {
  const found = named(text);
  if (!found) return null;
  const { sum } = found;
  const fields = fieldsOf(sum);
  if (fields.includes("text")) return { sum, input: found.rest ? { text: found.rest } : {} };

  const input: Record<string, unknown> = {};
  let rest = found.rest;
  const cut = (match: RegExpExecArray) => {
    rest = `${rest.slice(0, match.index)} ${rest.slice(match.index + match[0].length)}`;
  };
  const free = (test: (field: string) => boolean) => fields.find(f => !(f in input) && test(f));

  const share = SHARE.exec(rest);
  if (share && fields.includes("target")) {
    const read = parseReductionTarget(share[0], shareOf);
    if (read.ok) {
      input.target = read.value;
      cut(share);
    }
  }
  const range = FROM_TO.exec(rest);
  if (range && fields.includes("fromC") && fields.includes("toC")) {
    input.fromC = Number(range[1]?.replace(",", "."));
    input.toC = Number(range[2]?.replace(",", "."));
    cut(range);
  }
  for (const match of rest.matchAll(AMOUNT)) {
    const value = Number((match[1] ?? "").replace(",", "."));
    const unit = (match[2] ?? "").toLowerCase();
    const field = fieldForUnit(unit, free);
    if (field) input[field] = value * factorOf(unit, field);
  }
  rest = rest.replace(AMOUNT, " ").replace(/\s+/g, " ").trim();
  const vessel = world.vessels.find(v => rest.toLowerCase().includes(v.name.toLowerCase()));
  if (vessel && fields.includes("vessel")) {
    input.vessel = { id: vessel.id };
    rest = rest.toLowerCase().replace(vessel.name.toLowerCase(), " ").trim();
  }
  for (const word of rest.split(/\s+/).filter(Boolean)) placeWord(sum, word, input, fields);
  const thing = free(f => f === "liquid" || f === "ingredient");
  const name = rest.replace(/\b(of|in|from|for|with|the|a|on|lid)\b/gi, " ").trim();
  if (thing && name && ingredientCalled(world.ingredients, name)) input[thing] = name;
  // A bare number goes to what is asked first and counts.
  const bare = /(?:^|\s)(\d[\d.,]*)(?:\s|$)/.exec(rest);
  const counting = free(f => f === "covers");
  if (bare && counting) input[counting] = Number((bare[1] ?? "").replace(",", "."));
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

function fieldForUnit(
  unit: string,
  free: (test: (f: string) => boolean) => string | undefined,
): string | undefined {
  if (/^(kg|g|lb|oz)$/.test(unit)) return free(f => MASSES.test(f));
  if (/^(l|dl|cl|ml|qt|cups?)$/.test(unit)) return free(f => VOLUMES.test(f));
  if (unit === "%") return free(f => /Pct$/.test(f));
  if (/^h/.test(unit)) return free(f => f === "hours" || f === "minutes");
  if (/^min/.test(unit)) return free(f => f === "minutes" || f === "hours");
  if (/^(mm|cm)$/.test(unit)) return free(f => /Mm$/.test(f));
  if (/c$/.test(unit)) return free(f => /C$/.test(f));
  if (unit === "m") return free(f => f === "altitudeM");
  if (/^(covers?|plates?)$/.test(unit)) return free(f => f === "covers");
  return undefined;
}

function factorOf(unit: string, field: string): number {
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
      if (/^h/.test(unit)) return field === "minutes" ? 60 : 1;
      if (/^min/.test(unit)) return field === "hours" ? 1 / 60 : 1;
      return 1;
  }
}

/** A word that is one of the choices of a field: "veal", "on", "flamed", "walk-in". */
function placeWord(
  sum: AnySum,
  word: string,
  input: Record<string, unknown>,
  fields: readonly string[],
): void {
  const shape = (sum.input as unknown as { shape?: Record<string, unknown> }).shape ?? {};
  for (const field of fields) {
    if (field in input) continue;
    const options = choicesOf(shape[field]);
    const chosen = options?.find(option => option.toLowerCase() === word.toLowerCase());
    if (chosen) {
      input[field] = chosen;
      return;
    }
  }
}

/** The words a field may be, through its optional and default wrappings. */
export function choicesOf(schema: unknown): readonly string[] | null {
  let at = schema as { options?: unknown; def?: { innerType?: unknown } } | undefined;
  for (let depth = 0; at && depth < 4; depth++) {
    const { options } = at;
    if (Array.isArray(options) && options.every((o): o is string => typeof o === "string")) return options;
    at = at.def?.innerType as typeof at;
  }
  return null;
}

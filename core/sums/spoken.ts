import { type Ingredient, densityOf, heardAs, ingredientCalled, plainName } from "../things/larder";
import { kitchenUnit, parseAmount, printNumber, readNumber } from "../ground/quantity";
import { parseReductionTarget } from "../laws/reduction";
import { type Result, ok } from "../ground/result";
import { type SumField, fieldsOf } from "./field";
import { SUMS } from "./registry";
import type { AnySum, SumWorld } from "./sum";
import { readTyped } from "./typed";

/** A sum as somebody says it: "ice 8 l 85 to 20", "mirepoix 18 kg", "dip mark tall pot 6 l by half". */
export interface Spoken {
  readonly sum: AnySum;
  /** What of the input was said; the rest is still to be asked. */
  readonly input: Readonly<Record<string, unknown>>;
  /** Words and numbers no field took, as they were said. */
  readonly unread: readonly string[];
  /** What stands between what was said and what was taken: "5 l counted as 5 030 g". */
  readonly taken: readonly string[];
  /** The sum was misspelt: what it is taken for. */
  readonly meant: string | null;
}

/** Thousands as this program prints them, a comma before three figures, decimals with either mark. */
const NUMBER = String.raw`(?:\d{1,3}(?:[\u00a0\u2009\u202f ]\d{3})+(?:[.,]\d+)?|\d+(?:[.,]\d+)*)`;
const SIGNED = String.raw`(?<![\d.,])(?:[-−](?=\d))?${NUMBER}`;
const UNIT = String.raw`g\/l|g\/kg|g\/min|ml\/min|kilograms?|kilos?|kg|grams?|g|pounds?|lbs?|ounces?|oz|litres?|liters?|l|dl|cl|ml|gallons?|gal|quarts?|qt|pints?|pt|cups?|tbsp|tablespoons?|tsp|teaspoons?|%|per ?cent|hours?|hrs?|h|minutes?|mins?|min|mm|cm|inch(?:es)?|°?\s?C|°?\s?F|m|w`;
const AMOUNT = new RegExp(String.raw`(${SIGNED})\s*(${UNIT})(?![\p{L}/])`, "giu");
const FROM_TO = new RegExp(
  String.raw`(-?\d+(?:[.,]\d+)?)\s*°?\s*([CF])?\s*(?:to|→|–|-)\s*(-?\d+(?:[.,]\d+)?)\s*°?\s*([CF])?(?![\p{L}\d%])`,
  "iu",
);
/** Said as a pair: "85 to 20". */
const FROM_TO_FIELDS = ["fromC", "toC"];
const SHARE =
  /\b(by|to)\s+(?:a\s+)?(half|two thirds|thirds?|three quarters|quarter|fifth|eighth|tenth|\d+\s*%|\d\s*\/\s*\d)/i;
const RATIO = /\d+(?:[.,]\d+)?(?:\s*:\s*\d+(?:[.,]\d+)?)+/;
/** Bodies by name. Common practice, no source. */
const BODIES: readonly (readonly [words: RegExp, body: number])[] = [
  [/\b(?:to )?(?:a )?light (?:coat|nappe)\b/i, 37],
  [/\b(?:to )?(?:a )?(?:nappe|nappé|coats? the spoon)\b/i, 45],
  [/\b(?:to )?(?:a )?(?:heavy coat|glaze)\b/i, 54],
  [/\b(?:to )?(?:a )?(?:soup|soup cream)\b/i, 28],
];
const FILLER =
  /^(?:of|in|from|for|with|the|an?|on|and|at|to|by|is|me|please|how|much|many|what|it|into|need|i|do|about|or|,|;|:|\.|\?|=|–|-)$/i;

/** The words a sum is called by, its own first. */
const namesOf = (sum: AnySum): readonly string[] => [sum.name, sum.title, ...sum.words].map(plainName);

const LONGEST_NAME = 5;
/** A name so long may be off by so many letters. */
const OFF_AT_MOST = (length: number): number => (length < 5 ? 0 : length < 8 ? 1 : 2);

/** Which sum the first words name, and what is left of the text. A name of its own counts before a word among others. */
function named(text: string): { sum: AnySum; rest: string; meant: string | null } | null {
  const words = text
    .trim()
    .replace(/^(?:how much|how many|what is|the)\s+/i, "")
    .split(/\s+/);
  for (let n = Math.min(LONGEST_NAME, words.length); n > 0; n--) {
    const head = plainName(words.slice(0, n).join(" "));
    if (!head) continue;
    const found = SUMS.map(sum => ({ sum, at: namesOf(sum).indexOf(head) }))
      .filter(one => one.at >= 0)
      .sort((a, b) => a.at - b.at)[0];
    if (found) return { sum: found.sum, rest: words.slice(n).join(" "), meant: null };
  }
  // Misspelt: "holandaise", "beschamel". By the letters, and by the sound they make.
  for (let n = Math.min(2, words.length); n > 0; n--) {
    const head = plainName(words.slice(0, n).join(" "));
    const most = OFF_AT_MOST(head.length);
    if (!most) continue;
    const near = SUMS.flatMap(sum => namesOf(sum).map(name => ({ sum, name, off: heardAs(head, name) })))
      .filter(one => one.off <= most)
      .sort((a, b) => a.off - b.off)[0];
    if (near) return { sum: near.sum, rest: words.slice(n).join(" "), meant: near.name };
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
 * What cannot be placed is told as unread; nothing is guessed.
 */
export function readSpoken(text: string, world: SumWorld): Spoken | null {
  const found = named(text);
  if (!found) return null;
  const { sum, meant } = found;
  const { asked, more } = inOrder(sum);
  const fields = [...asked, ...more];
  if (asked[0]?.typed === "text" && asked.every(f => f.typed === "text" || f.typed === "ingredient"))
    return { sum, input: found.rest ? { text: found.rest } : {}, unread: [], taken: [], meant };
  const phrase = new Phrase(found.rest, fields, world);
  phrase.read();
  return { sum, input: phrase.input, unread: phrase.left(), taken: phrase.taken, meant };
}

const LIQUID_UNITS = ["ml"];

/** The rest of a phrase while its words find their fields; each is taken once. */
class Phrase {
  readonly input: Record<string, unknown> = {};
  readonly taken: string[] = [];
  private rest: string;
  private liquid: Ingredient | null = null;

  constructor(
    text: string,
    private readonly fields: readonly SumField[],
    private readonly world: SumWorld,
  ) {
    this.rest = text;
  }

  read(): void {
    this.labelled();
    this.readings();
    this.pots();
    this.things();
    this.ends();
    this.choices();
    this.amounts();
    this.bareNumber();
  }

  /** What nobody took. */
  left(): string[] {
    return this.rest
      .split(/\s+/)
      .map(word => word.replace(/^[,;:]+|[,;:]+$/g, ""))
      .filter(word => word && !FILLER.test(word));
  }

  private cut(at: number, length: number): void {
    this.rest = `${this.rest.slice(0, at)}${" ".repeat(length)}${this.rest.slice(at + length)}`;
  }

  private free(test: (field: SumField) => boolean): SumField | undefined {
    return this.fields.find(
      f =>
        !(f.name in this.input) &&
        !this.fields.some(other => f.oneOf && other.oneOf === f.oneOf && other.name in this.input) &&
        test(f),
    );
  }

  /** "target 600 g": a value behind the name of its field. */
  private labelled(): void {
    const byLength = [...this.fields].sort((a, b) => b.title.length - a.title.length);
    for (const field of byLength) {
      if (field.title.length < 4 || field.typed === "list" || field.typed === "json") continue;
      const label = field.title.replace(/^or /i, "").replace(/[.*+?^${}()|[\]\\]/g, "\\$&");
      const number = new RegExp(
        String.raw`(?<![\p{L}])${label}\s*(?:is|=|:)?\s*(${SIGNED}\s*(?:${UNIT})?)(?![\p{L}\d/])`,
        "iu",
      );
      const words = new RegExp(String.raw`(?<![\p{L}])${label}\s*(?:is|=|:)\s*([^;]+?)\s*(?:;|$)`, "iu");
      const match = (field.typed === "number" ? number : words).exec(this.rest);
      const said = match?.[1];
      if (!match || said === undefined || !this.free(f => f === field)) continue;
      const read = readTyped(field, ungrouped(said), this.world);
      if (!read.ok || read.value === undefined) continue;
      this.input[field.name] = read.value;
      this.cut(match.index, match[0].length);
    }
  }

  /** "cooling log 0 60, 120 21,4": readings one after the other, every number with either mark. */
  private readings(): void {
    const field = this.free(
      f => f.typed === "list" && f.columns.length > 1 && f.columns.every(c => c.typed === "number"),
    );
    const one = String.raw`-?\d+(?:[.,]\d+)*\s+-?\d+(?:[.,]\d+)*`;
    const match = field && new RegExp(String.raw`${one}(?:\s*[,;]\s*${one})*`).exec(this.rest);
    if (!field || !match) return;
    const said = match[0].replace(/,+$/, "");
    const read = readTyped(field, said, this.world);
    if (!read.ok) return;
    this.input[field.name] = read.value;
    this.cut(match.index, match[0].length);
  }

  /** A pot of the kit by its name, blanks and all. */
  private pots(): void {
    for (const field of this.fields.filter(f => f.typed === "vessel")) {
      const named = this.world.vessels
        .map(vessel => ({ vessel, at: this.rest.toLowerCase().indexOf(vessel.name.toLowerCase()) }))
        .filter(one => one.at >= 0)
        .sort((a, b) => b.vessel.name.length - a.vessel.name.length)[0];
      if (!named || !this.free(f => f === field)) continue;
      this.input[field.name] = { id: named.vessel.id };
      this.cut(named.at, named.vessel.name.length);
    }
  }

  /** The longest name of the larder in the phrase. */
  private things(): void {
    const field = this.free(f => f.typed === "ingredient");
    if (!field) return;
    const words = [...this.rest.matchAll(/\S+/g)];
    for (let n = Math.min(6, words.length); n > 0; n--)
      for (let i = 0; i + n <= words.length; i++) {
        const [first, last] = [words[i], words[i + n - 1]];
        if (!first || !last) continue;
        const end = last.index + last[0].length;
        const name = this.rest.slice(first.index, end).replace(/[,;]$/, "");
        if (!/\p{L}{3}/u.test(name) || FILLER.test(name)) continue;
        const thing = ingredientCalled(this.world.ingredients, name);
        if (!thing) continue;
        this.input[field.name] = name;
        this.liquid = thing;
        this.cut(first.index, end - first.index);
        return;
      }
  }

  private ends(): void {
    const target = this.fields.find(f => f.typed === "target" && !(f.name in this.input));
    const share = target && SHARE.exec(this.rest);
    if (target && share) {
      const read = parseReductionTarget(share[0], shareOf);
      if (read.ok) {
        this.input[target.name] = read.value;
        this.cut(share.index, share[0].length);
      }
    }
    const body = this.free(f => f.unit === "0–100");
    for (const [words, thickness] of BODIES) {
      const match = body && words.exec(this.rest);
      if (!match || !body) continue;
      this.input[body.name] = thickness;
      this.taken.push(`${match[0].trim()} counted as body ${thickness}`);
      this.cut(match.index, match[0].length);
      break;
    }
    const range = FROM_TO.exec(this.rest);
    if (
      range &&
      FROM_TO_FIELDS.every(name => this.fields.some(f => f.name === name) && !(name in this.input))
    ) {
      const [all, from = "", unitFrom, to = "", unitTo] = range;
      const unit = unitFrom ?? unitTo;
      this.input.fromC = inC(figure(from), unitFrom ?? unit);
      this.input.toC = inC(figure(to), unitTo ?? unit);
      this.cut(range.index, all.length);
    }
    const ratio = RATIO.exec(this.rest);
    const parts = ratio && this.free(f => f.typed === "numbers");
    if (ratio && parts) {
      this.input[parts.name] = ratio[0].split(":").map(part => figure(part.trim()));
      this.cut(ratio.index, ratio[0].length);
    }
  }

  /** A choice of a field by its words, the longest first: "stirred in", "walk-in", "veal". */
  private choices(): void {
    const all = this.fields
      .flatMap(field =>
        field.choices.flatMap(([value, words]) =>
          [String(value), words].map(said => ({ field, value, said })),
        ),
      )
      .sort((a, b) => b.said.length - a.said.length);
    // The first word is enough where it is the first of one choice alone: "stirred in", "flamed".
    const first = all
      .map(one => ({ ...one, said: one.said.split(/[\s,]+/)[0] ?? "" }))
      .filter(
        one =>
          one.said.length > 4 &&
          new Set(
            all.filter(o => o.said.split(/[\s,]+/)[0] === one.said).map(o => `${o.field.name} ${o.value}`),
          ).size === 1,
      );
    for (const { field, value, said } of [...all, ...first]) {
      if (field.name in this.input || !/\p{L}/u.test(said)) continue;
      const at = new RegExp(
        String.raw`(?<![\p{L}])${said.replace(/[.*+?^${}()|[\]\\]/g, "\\$&")}(?![\p{L}])`,
        "iu",
      ).exec(this.rest);
      if (!at || !this.free(f => f === field)) continue;
      this.input[field.name] = value;
      this.cut(at.index, at[0].length);
    }
  }

  private amounts(): void {
    for (const match of [...this.rest.matchAll(AMOUNT)]) {
      const [all, number = "", unit = ""] = match;
      const value = figure(number);
      if (this.place(value, unit.toLowerCase().replace(/\s+/g, ""), all)) this.cut(match.index, all.length);
    }
  }

  /** Puts an amount in the first free field that holds it; a volume of a known liquid also where grams are asked. */
  private place(value: number, unit: string, said: string): boolean {
    const put = (field: SumField | undefined, held: number): boolean => {
      if (!field) return false;
      this.input[field.name] = held;
      return true;
    };
    const holds = (held: string) => this.free(f => f.typed === "number" && f.unit === held);
    if (unit.includes("/")) return put(holds(unit), value);
    const kitchen = kitchenUnit(unit);
    if (kitchen) {
      const held = kitchen.dimension === "mass" ? "g" : "ml";
      const own = tidy(value * kitchen.factor);
      if (put(holds(held), own)) return true;
      const other = LIQUID_UNITS.includes(held) ? holds("g") : holds("ml");
      const density = this.liquid ? densityOf(this.liquid) : undefined;
      if (!other) return false;
      const counted = held === "ml" ? own * (density ?? 1) : own / (density ?? 1);
      this.taken.push(
        `${said.trim()} counted as ${printNumber(counted)} ${held === "ml" ? "g" : "ml"}${density === undefined ? ", as of water" : ""}`,
      );
      return put(other, tidy(counted));
    }
    if (/^(?:%|percent)$/.test(unit))
      return put(holds("%") ?? holds("% vol"), value) || put(holds("0–1"), value / 100);
    if (/^h/.test(unit)) return put(holds("h"), value) || put(holds("min"), value * 60);
    if (/^min/.test(unit)) return put(holds("min"), value) || put(holds("h"), value / 60);
    if (/^(?:mm|cm|inch)/.test(unit))
      return put(holds("mm"), value * (unit === "mm" ? 1 : unit === "cm" ? 10 : 25.4));
    if (/c$/.test(unit)) return put(holds("°C"), value);
    if (/f$/.test(unit)) return put(holds("°C"), inC(value, "F"));
    if (unit === "m") return put(holds("m"), value);
    return put(
      this.free(f => f.said.includes(unit)),
      value,
    );
  }

  /** A bare number goes to what is asked first and counts; one with a word of the field behind it to that field. */
  private bareNumber(): void {
    const counted = new RegExp(String.raw`(${SIGNED})\s*(\p{L}+)`, "giu");
    for (const match of [...this.rest.matchAll(counted)]) {
      const [all, number = "", word = ""] = match;
      const field = this.free(f => f.said.includes(word.toLowerCase()));
      if (!field) continue;
      this.input[field.name] = figure(number);
      this.cut(match.index, all.length);
    }
    const bare = new RegExp(String.raw`(?:^|\s)(${SIGNED})(?=\s|$|[,;])`).exec(this.rest);
    const counting = this.free(f => f.said.length > 0);
    if (bare && counting) {
      this.input[counting.name] = figure(bare[1] ?? "");
      this.cut(bare.index, bare[0].length);
    }
  }
}

const tidy = (x: number): number => Number(x.toPrecision(10));

/** "18 500", "5,200", "2,5", "1.25". */
function figure(text: string): number {
  const plain = text.replace(/[\u00a0\u2009\u202f ]/g, "").replace("−", "-");
  if (/^-?[1-9]\d{0,2},\d{3}$/.test(plain)) return Number(plain.replace(",", ""));
  return Number(plain.replace(",", "."));
}

/** Thousands by blanks or a comma, as the plain number a field reads. */
const ungrouped = (text: string): string =>
  text
    .replace(/(\d)[\u00a0\u2009\u202f ](?=\d{3}(?!\d))/g, "$1")
    .replace(/^(-?[1-9]\d{0,2}),(\d{3})(?!\d)/, "$1$2");

const inC = (value: number, unit: string | undefined): number =>
  unit?.toUpperCase() === "F" ? tidy((value - 32) / 1.8) : value;

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

import { parseTemperature, printNumber, readNumber, saidNumber } from "../ground/quantity";
import type { ReductionEnd } from "../formula";
import type { Result } from "../ground/result";
import { inFigures } from "./in-figures";

/** A night between two services, min. Common practice, no source. */
const OVERNIGHT_MIN = 600;

/** A time said in a clause, min. */
export interface SaidTime {
  /** The middle of a range. */
  readonly min: number;
  readonly range: readonly [number, number] | null;
  /** What is asked where it was not said in figures. */
  readonly question: string | null;
}

/** The time of a clause; `null` without one. */
export function minutesSaid(clause: string): SaidTime | null {
  const match =
    /(\d+(?:[.,]\d+)?|½|an?|half an?)\s*(?:(?:–|-|to)\s*(\d+(?:[.,]\d+)?)\s*)?(hours?|hrs?|h\b|minutes?|mins?|min\b)(?:\s*(?:and\s*)?(\d+)\s*(?:minutes?|mins?|min\b))?/i.exec(
      inFigures(clause),
    );
  if (!match)
    return /\bovernight\b/i.test(clause)
      ? { min: OVERNIGHT_MIN, range: null, question: "How long is overnight? 10 h is taken until you say." }
      : null;
  const one =
    /^half/i.test(match[1] ?? "") || match[1] === "½"
      ? 0.5
      : /^an?$/i.test(match[1] ?? "")
        ? 1
        : Number((match[1] ?? "").replace(",", "."));
  const unit = /^h/i.test(match[3] ?? "") ? 60 : 1;
  const two = match[2] ? Number(match[2].replace(",", ".")) : null;
  const extra = Number(match[4] ?? 0);
  return two === null
    ? { min: one * unit + extra, range: null, question: null }
    : { min: ((one + two) / 2) * unit, range: [one * unit, two * unit], question: null };
}

/** A temperature said in a clause, °C. */
export interface SaidTemperature {
  readonly c: number;
  /** That a pair does not fit each other. */
  readonly doubt: string | null;
  /** What is asked where no unit was said. */
  readonly question: string | null;
}

const BETWEEN =
  /(\d{1,3}(?:[.,]\d)?)\s*(?:°|degrees?)?\s*[CF]?\s*(?:–|-|to|and)\s*(\d{1,3}(?:[.,]\d)?)\s*(?:°|degrees?)?\s*([CF])\b/;
const WITH_UNIT = /(\d{1,3}(?:[.,]\d)?)\s*(?:°|degrees?)?\s*([CF])\b(?:\s*\/\s*\d{1,3}\s*°?\s*[CF]\b)?/;
const IN_DEGREES = /(\d{1,3})\s*degrees?\b/i;
/** "at 220", "to 4", "at 55 to 60": where a temperature is awaited and no unit said. */
const BARE =
  /\b(?:at|to|until|till|under|below|around|about|reaches)\s+(\d{1,3})(?:\s*(?:–|-|to)\s*(\d{1,3}))?(?=\s*(?:$|[,;]|\.(?!\d)|(?:for|in|until|turning|and|over|on)\b))/i;
/** Two temperatures further apart are where it comes from and where it goes. */
const WIDEST_RANGE = 25;

const inC = (value: number, unit: string) => parseTemperature(`${value} °${unit}`, "text");
const figure = (said = "") => Number(said.replace(",", "."));

/** The temperature of a clause, the middle of a range; `null` without one. */
export function temperatureSaid(clause: string): SaidTemperature | null {
  const said = inFigures(clause);
  const [, lo, hi, unit = "C"] = BETWEEN.exec(said) ?? [];
  if (hi !== undefined && Math.abs(figure(hi) - figure(lo)) <= WIDEST_RANGE) {
    const read = inC((figure(lo) + figure(hi)) / 2, unit);
    return read.ok ? { c: Math.round(read.value.exactC), doubt: null, question: null } : null;
  }
  const match = WITH_UNIT.exec(said) ?? IN_DEGREES.exec(said);
  if (match) {
    const text = /[CF]\b/.test(match[0]) ? match[0].replace(/degrees?/i, "°") : `${match[1]} °C`;
    const read = parseTemperature(text, "text");
    return read.ok
      ? { c: Math.round(read.value.exactC), doubt: read.warnings[0]?.message ?? null, question: null }
      : null;
  }
  const [, from, to] = BARE.exec(said) ?? [];
  if (from === undefined) return null;
  const c = to === undefined ? figure(from) : Math.round((figure(from) + figure(to)) / 2);
  const words = to === undefined ? from : `${from} to ${to}`;
  return { c, doubt: null, question: `“${words}”, of what? ${printNumber(c)} °C is taken until you say.` };
}

const SHARE_WORDS: Readonly<Record<string, number>> = {
  half: 1 / 2,
  "a half": 1 / 2,
  "one half": 1 / 2,
  "a third": 1 / 3,
  "one third": 1 / 3,
  third: 1 / 3,
  "two thirds": 2 / 3,
  "a quarter": 1 / 4,
  "one quarter": 1 / 4,
  quarter: 1 / 4,
  "three quarters": 3 / 4,
};

/** Ends told by how it sits on the spoon, and the body they mean. Common practice, no source. */
const BODIES_SAID: readonly (readonly [words: RegExp, body: number])[] = [
  [/\blight (?:nappe|coat)\b/, 37],
  [/\bto (?:a )?nappe\b|\buntil it coats\b|\bcoats the (?:back of (?:a|the) )?spoon\b/, 45],
  [/\bto a glaze\b|\bto a glace\b/, 54],
  [/\b(?:until|to) (?:it is |a )?syrup(?:y)?\b/, 28],
];

/** End of a reduction. Where neither by nor to was said, it asks: the two differ much. */
export function reductionSaid(clause: string): { target: ReductionEnd; question: string | null } | null {
  const text = clause.toLowerCase();
  const body = BODIES_SAID.find(([words]) => words.test(text));
  if (body) return { target: { body: body[1] }, question: null };
  if (/almost dry|nearly dry|au sec|until dry/.test(text)) return { target: { by: 0.85 }, question: null };
  const match =
    /\b(by|to)?\s*(?:about\s+)?((?:one |two |three |a )?(?:half|thirds?|quarters?)|\d+\s*%|\d+\s*\/\s*\d+|[½⅓⅔¼¾])/.exec(
      text,
    );
  if (match) {
    const word = (match[2] ?? "").replace(/\s+/g, " ").trim();
    const percent = /(\d+)\s*%/.exec(word);
    const number = percent ? null : readNumber(word, "text");
    const share =
      SHARE_WORDS[word] ?? (percent ? Number(percent[1]) / 100 : number?.ok ? number.value.value : NaN);
    if (!(share > 0 && share < 1)) return null;
    if (match[1] === "by") return { target: { by: share }, question: null };
    if (match[1] === "to") return { target: { to: share }, question: null };
    return {
      target: { to: share },
      question: `“${word}”: by or to? By ${word} leaves ${Math.round(100 * (1 - share))} %, to ${word} leaves ${Math.round(100 * share)} %. Taken as “to” until you say.`,
    };
  }
  const end = /\bto\s+(?:about\s+)?(\d+(?:[.,]\d+)?)\s*(ml|l|litres?|g|kg)\b/.exec(text);
  if (!end) return null;
  const value = Number((end[1] ?? "").replace(",", "."));
  const unit = end[2] ?? "";
  return {
    target:
      unit === "g"
        ? { endG: value }
        : unit === "kg"
          ? { endG: 1000 * value }
          : { endMl: unit === "ml" ? value : 1000 * value },
    question: null,
  };
}

const SHARES = ["to", "at", "with"].map(
  word => new RegExp(`\\b${word}\\s+(?:about\\s+)?([\\w.,½¼¾ -]+?)\\s*(?:%|per ?cent\\b)`, "i"),
);

/** The share that something is to reach, per cent: "salt to 0.8 %", "at point eight per cent"; `null` without one. */
export function shareSaid(clause: string): number | null {
  for (const pattern of SHARES) {
    const [, words = ""] = pattern.exec(clause) ?? [];
    const number = saidNumber(words) ?? valueOrNull(readNumber(words, "text"));
    if (number && !number.rest.trim() && number.value > 0 && number.value <= 99) return number.value;
  }
  return null;
}

const valueOrNull = <T>(result: Result<T>): T | null => (result.ok ? result.value : null);

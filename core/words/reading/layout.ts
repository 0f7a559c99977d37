import { type Token, tokensOf } from "../text/tokens";
import { verbCalled } from "../lexicon/verbs";
import { unitCalled } from "../text/amounts";

/** A line or sentence of a recipe. */
export interface Said {
  readonly text: string;
  readonly tokens: readonly Token[];
  /** The heading it stands under. */
  readonly heading: string;
  /** One of a numbered sequence: a step, however short. */
  readonly numbered: boolean;
  readonly bullet: boolean;
  /** Which line of the text, and whether an empty one stands before. */
  readonly line: number;
  readonly wholeLine: boolean;
  /** A bold word leads its line: "**Wet** 2 l stock". */
  readonly labelled: boolean;
}

export interface Layout {
  readonly name: string;
  readonly said: readonly Said[];
  /** Places of the title and of headings in the text. */
  readonly titles: readonly (readonly [from: number, to: number])[];
}

const BULLET = /^\s*(?:[-*•–]\s+|\[\s?\]\s*)/;
const MARKDOWN = /^\s*#{1,6}\s+/;
const NUMBERED = /^\s*(?:step\s*)?(\d{1,2})(?:\)\s*|\s*(?:[.:]|-|–)?\s+)(?=\S)/i;
const NUMBER_ALONE = /^\s*(?:step\s*)?(\d{1,2})(?:\)\s*|\.(?:\s+|(?=\D)))(?=\S)/i;
const HEADINGS =
  /^(?:ingredients?|you(?:'ll)? need|what you need|method|directions?|preparation|procedure|instructions?|steps?|how|mise en place|for us|the rule|to (?:finish|serve|make)[\w ]*|for the [\w ]+|work|at table)\s*:?$/i;
const LABEL = /^(ingredients?|method|directions?|instructions?|procedure|preparation|you need)\s*:\s+(?=\S)/i;
const LONGEST_TITLE = 90;

interface Line {
  readonly at: number;
  /** Without bullets, numbers and signs of markdown. */
  readonly start: number;
  readonly end: number;
  readonly content: string;
  readonly blankBefore: boolean;
  readonly numbered: number | null;
  readonly bullet: boolean;
  readonly heading: boolean;
}

export function layoutOf(text: string): Layout {
  const lines = linesOf(text);
  const titles: [number, number][] = [];
  let name = "";
  let first = 0;
  const title = titleOf(lines);
  if (title) {
    name = title.name;
    titles.push([title.from, title.to]);
    first = title.lines;
  }
  const said: Said[] = [];
  let heading = "";
  lines.slice(first).forEach((line, k) => {
    let start = k === 0 && title?.lines === 0 ? title.to : line.start;
    const content = text.slice(start, line.end);
    // The number of a step is its place.
    if (line.numbered !== null && start === line.start) titles.push([line.at, line.start]);
    if (line.heading || (HEADINGS.test(content.trim()) && content.trim().length < 40)) {
      heading = plain(content);
      titles.push([start, line.end]);
      return;
    }
    const label = LABEL.exec(content);
    if (label) {
      heading = plain(label[1] ?? "");
      titles.push([start, start + label[0].length]);
      start += label[0].length;
    }
    const bold = /^\*\*([^*]{2,30})\*\*:?\s+(?=\S)/.exec(text.slice(start, line.end));
    if (bold) {
      heading = plain(bold[1] ?? "");
      titles.push([start, start + bold[0].length]);
      start += bold[0].length;
    }
    const tokens = tokensOf(text.slice(start, line.end)).map(t => ({
      ...t,
      at: t.at + start,
      end: t.end + start,
    }));
    const parts = sentences(tokens);
    for (const part of parts)
      said.push({
        text: text.slice(part[0]?.at ?? start, part.at(-1)?.end ?? start),
        tokens: part,
        heading,
        numbered: line.numbered !== null,
        bullet: line.bullet,
        line: k + first,
        wholeLine: parts.length === 1,
        labelled: bold !== null,
      });
  });
  return { name, said, titles };
}

const plain = (text: string): string => text.replace(/[*#:_]/g, "").trim();

function linesOf(text: string): Line[] {
  const lines: Line[] = [];
  let at = 0;
  let blank = true;
  const numbers = text.split(/\r?\n/).map(line => Number(numberOf(line)?.[1] ?? NaN));
  const counted = numbers.filter(n => Number.isFinite(n));
  // Numbers that run on from one are of steps; "2 onions" are not.
  const runs =
    counted.length >= 2 && counted.every((n, i) => n === (counted[0] ?? 1) + i) && (counted[0] ?? 0) <= 1;
  text.split(/(\r?\n)/).forEach((raw, i) => {
    if (i % 2) {
      at += raw.length;
      return;
    }
    const from = at;
    at += raw.length;
    if (!raw.trim()) {
      blank = true;
      return;
    }
    const dotted = NUMBER_ALONE.exec(raw);
    const number = runs ? numberOf(raw) : dotted && counted.length >= 2 ? dotted : null;
    const md = MARKDOWN.exec(raw);
    const bullet = number ? null : BULLET.exec(raw);
    const start = from + (number ?? md ?? bullet ?? [""])[0].length;
    const boldLine = /^\s*\*\*[^*]+\*\*\s*:?\s*$/.test(raw);
    lines.push({
      at: from,
      start,
      end: from + raw.trimEnd().length,
      content: text.slice(start, from + raw.trimEnd().length),
      blankBefore: blank,
      numbered: number ? Number(number[1]) : null,
      bullet: bullet !== null,
      heading: md !== null || boldLine,
    });
    blank = false;
  });
  return lines;
}

/** The number a line begins with, unless it is so much of something: "2 l water". */
function numberOf(line: string): RegExpExecArray | null {
  const number = NUMBERED.exec(line);
  const next = number ? (tokensOf(line.slice(number[0].length))[0]?.plain ?? "") : "";
  return number && (NUMBER_ALONE.test(line) || unitCalled(next) === null) ? number : null;
}

/** The sentences of a line, without their stops. */
function sentences(tokens: readonly Token[]): Token[][] {
  const found: Token[][] = [];
  let part: Token[] = [];
  for (const token of tokens) {
    if (token.kind === "mark" && /^[.!?;|]$/.test(token.plain)) {
      if (part.length) found.push(part);
      part = [];
    } else if (token.kind !== "mark" || !/^[*#_`>"\\]$/.test(token.plain)) part.push(token);
  }
  if (part.length) found.push(part);
  return found;
}

const HAS_AMOUNT =
  /\d\s*(?:k?g|ml|cl|dl|l|lit(?:re|er)s?|oz|lbs?|tbsp|tsp|cups?|min|minutes?|h|hours?|°|%)\b|\d\s*°|[½⅓⅔¼¾]/i;
const SENTENCE_WORDS = /\b(?:until|it|them|then|you|we|i)\b/i;

interface Title {
  readonly name: string;
  readonly from: number;
  readonly to: number;
  /** Lines it takes up; 0 where the first line goes on. */
  readonly lines: number;
}

/** The name of a recipe: its first line, its first words before a colon, or a first short sentence without an order. */
function titleOf(lines: readonly Line[]): Title | null {
  const [line, next] = lines;
  if (!line) return null;
  const content = line.content.trim();
  const whole = (name: string): Title => ({ name: cleaned(name), from: line.at, to: line.end, lines: 1 });
  if (line.heading && content.length <= LONGEST_TITLE) return whole(content);
  if (HEADINGS.test(content) || LABEL.test(content) || line.numbered !== null || line.bullet) return null;
  if (next && content.length <= LONGEST_TITLE) {
    const isFirst = verbCalled(tokensOf(content)[0]?.plain ?? "") !== null;
    const ends = /[.;]$/.test(content) && !/^[A-Z][A-Z\s.]+$/.test(content);
    const says = HAS_AMOUNT.test(content.replace(/\([^)]*\)/g, ""));
    const headless = !says && !ends;
    if (next.blankBefore && headless) return whole(content);
    if (
      !next.blankBefore &&
      headless &&
      !(isFirst && tokensOf(content).length > 1 && SENTENCE_WORDS.test(content)) &&
      !(isFirst && !kindOfThing(content))
    )
      return whole(content);
    if (/^[A-Z][A-Z\s\d.,()&'/-]+(?:\([^)]*\))?$/.test(content) && !/\d\s*(?:ml|°)/.test(content))
      return whole(content);
    if (!ends && says && /\bx\s*\d+$|\bcov\b/i.test(content) && !isFirst) return whole(content);
    if (!ends && /^(?:[A-Z]{2,}\b)/.test(content) && content.length < 40) return whole(content);
  }
  const colon = /^([^\d:\r\n.,]{3,59}):\s+(?=\S)/.exec(line.content);
  if (colon && !verbLeads(colon[1] ?? "") && !SENTENCE_WORDS.test(colon[1] ?? "")) {
    const to = line.start + colon[0].length;
    return { name: cleaned(colon[1] ?? ""), from: line.start, to, lines: 0 };
  }
  const stop = /^([^.:;\r\n]{3,60})\.\s+(?=\p{Lu}|\d)/u.exec(line.content);
  if (stop) {
    const words = stop[1] ?? "";
    const short = words.split(/\s+/).length <= 6;
    if (
      short &&
      !HAS_AMOUNT.test(words) &&
      !SENTENCE_WORDS.test(words) &&
      (!hasDeed(words) || kindOfThing(words))
    )
      return { name: cleaned(words), from: line.start, to: line.start + stop[0].length, lines: 0 };
  }
  return null;
}

const cleaned = (name: string): string =>
  name
    .replace(/[*#_]/g, "")
    .replace(/[:.]\s*$/, "")
    .trim();
const verbLeads = (words: string): boolean => {
  const [first] = tokensOf(words);
  return first !== undefined && verbCalled(first.plain) !== null && !kindOfThing(words);
};
/** "Brown stock", "Roast garlic purée": a verb that tells a kind of thing. */
const kindOfThing = (words: string): boolean =>
  /^(?:brown|roast|roasted|dry|blanched?|glazed|braised|cream|mash|whipped|burnt|smoked|pickled) \w/i.test(
    words,
  ) && !/\b(?:the|in|with|a)\b/i.test(words);
/** Whether the first word that says anything is an order. */
const hasDeed = (words: string): boolean => {
  const first = tokensOf(words).find(t => t.kind === "word" && !/ly$/.test(t.plain));
  return first !== undefined && verbCalled(first.plain) !== null;
};

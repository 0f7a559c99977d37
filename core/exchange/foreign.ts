import { readJson } from "../ground/json";
import { type Problem, type Result, ok, refuse } from "../ground/result";
import { BUNDLE_FORMAT, type FormulaBundle, readBundle } from "./bundle";

/** What a file holds: formulas whole, or a recipe in words that has to be understood first. */
export type Brought =
  | { readonly kind: "formulas"; readonly bundle: FormulaBundle }
  | {
      readonly kind: "words";
      /** Name, what goes in, and what is done, a line to each. */
      readonly text: string;
      /** What the file said besides; it has no place in a formula and goes into its notes. */
      readonly notes: string;
      /** What kind of file it was taken for. */
      readonly as: "a recipe in JSON-LD" | "a recipe in Markdown" | "a table of lines" | "words";
    };

/** A property of its own under which our recipes in JSON-LD carry the formula whole: others pass over it. */
export const WHOLE_PROPERTY = "hondaro:formulas";
const COMMENT = /<!--\s*hondaro:formulas\s+([\s\S]*?)\s*-->/;

/** The formula whole, in a comment that no reader of Markdown shows. */
export const asComment = (bundle: string): string =>
  // Two hyphens would end the comment: JSON may write the second by its number.
  `<!-- hondaro:formulas ${JSON.stringify(JSON.parse(bundle)).replaceAll("--", "-\\u002d")} -->`;

const no = (message: string, field = "file"): Result<never> =>
  refuse({ code: "NOT_UNDERSTOOD", field, message });

/**
 * Reads a file that somebody brings: our own formulas (JSON; or whole inside our JSON-LD and Markdown), a schema.org Recipe,
 * a recipe in Markdown, our table of lines, or plain words.
 *
 * @errors NOT_UNDERSTOOD with the line, where it breaks off · those of `readBundle`
 */
export function readForeign(file: string): Result<Brought> {
  const text = file.replace(/^\uFEFF/, "").replace(/\r\n?/g, "\n");
  if (!text.trim()) return no("There is nothing in it. Choose a file, or paste one.");
  if (/^\s*[{[]/.test(text)) return fromJson(text);
  const whole = COMMENT.exec(text)?.[1];
  if (whole !== undefined) return formulas(whole);
  if (/^step[,;\t]what[,;\t]ingredient[,;\t]grams/i.test(text)) return fromLines(text);
  if (/^#{1,3} |^\s*[-*] |\*\*/m.test(text))
    return ok({ kind: "words", as: "a recipe in Markdown", text: bare(text), notes: "" });
  return ok({ kind: "words", as: "words", text: text.trim(), notes: "" });
}

function formulas(text: string): Result<Brought> {
  const bundle = readBundle(text);
  return bundle.ok ? ok({ kind: "formulas", bundle: bundle.value }) : bundle;
}

type Thing = Readonly<Record<string, unknown>>;
const isThing = (x: unknown): x is Thing => typeof x === "object" && x !== null && !Array.isArray(x);
const isRecipe = (x: Thing): boolean =>
  [x["@type"]].flat().some(t => typeof t === "string" && /(^|[/:])Recipe$/.test(t));

function fromJson(text: string): Result<Brought> {
  const json = readJson(text);
  if (!json.ok) return refuse(...json.problems.map(problem => withLine(problem, text)));
  const recipe = recipeIn(json.value);
  if (!recipe) return formulas(text);
  const whole = recipe[WHOLE_PROPERTY];
  if (isThing(whole) && whole.format === BUNDLE_FORMAT) return formulas(JSON.stringify(whole));
  return fromRecipe(recipe);
}

/** Where the text of a file breaks off, as far as its reader says so. */
function withLine(problem: Problem, text: string): Problem {
  try {
    JSON.parse(text);
    return problem;
  } catch (error) {
    const said = error instanceof Error ? error.message : "";
    const position = /position (\d+)/.exec(said)?.[1];
    const line =
      /line (\d+)/.exec(said)?.[1] ??
      (position
        ? text.slice(0, Number(position)).split("\n").length
        : said.includes("end of JSON")
          ? text.trimEnd().split("\n").length
          : undefined);
    return line === undefined
      ? problem
      : { ...problem, message: `The file breaks off or is spoiled in line ${line}: it is not whole JSON.` };
  }
}

/** The recipe of a page’s data: alone, in a list, or in a graph. */
function recipeIn(value: unknown): Thing | null {
  if (Array.isArray(value)) return value.filter(isThing).map(recipeIn).find(Boolean) ?? null;
  if (!isThing(value)) return null;
  if (isRecipe(value)) return value;
  return Array.isArray(value["@graph"]) ? recipeIn(value["@graph"]) : null;
}

/** Terms that have their place; schema.org/Recipe. All others go into the notes. */
const PLACED: ReadonlySet<string> = new Set([
  "@context",
  "@type",
  "@id",
  "name",
  "recipeIngredient",
  "ingredients",
  "recipeInstructions",
]);

function fromRecipe(recipe: Thing): Result<Brought> {
  const name = typeof recipe.name === "string" ? recipe.name.trim() : "";
  const goesIn = [recipe.recipeIngredient ?? recipe.ingredients ?? []].flat().flatMap(wordsOf);
  const steps = [recipe.recipeInstructions ?? []].flat().flatMap(wordsOf);
  if (!goesIn.length && !steps.length)
    return no(
      `The recipe${name && ` “${name}”`} says neither what goes in nor what is done with it.`,
      "recipe",
    );
  const notes = Object.entries(recipe)
    .filter(([key]) => !PLACED.has(key))
    .flatMap(([key, value]) => {
      const said = [value].flat().flatMap(wordsOf).join("; ");
      return said ? [`${key}: ${said}`] : [];
    });
  return ok({
    kind: "words",
    as: "a recipe in JSON-LD",
    text: [name, ...goesIn, ...steps].filter(Boolean).join("\n"),
    notes: notes.join("\n"),
  });
}

/** The words of a value of a recipe: a text, a step, a section of steps, a quantity. */
function wordsOf(value: unknown): string[] {
  if (typeof value === "string") return value.split("\n").map(withoutTags).filter(Boolean);
  if (typeof value === "number" || typeof value === "boolean") return [String(value)];
  if (Array.isArray(value)) return value.flatMap(wordsOf);
  if (!isThing(value)) return [];
  const { itemListElement, text, name, value: amount, unitText, url } = value;
  if (itemListElement !== undefined) return wordsOf(itemListElement);
  if (amount !== undefined) return [[amount, unitText, name].filter(Boolean).join(" ")];
  return wordsOf(text ?? name ?? url);
}

const ENTITIES: Readonly<Record<string, string>> = {
  "&amp;": "&",
  "&nbsp;": " ",
  "&deg;": "°",
  "&frac12;": "½",
  "&frac14;": "¼",
  "&frac34;": "¾",
  "&quot;": '"',
  "&#39;": "'",
};
/** Pages put marks into their texts; a `<` that begins none is a word. */
const withoutTags = (text: string): string =>
  text
    .replace(/<\/?[a-z][^<>]*>/gi, " ")
    .replace(/&[a-z#0-9]+;/gi, entity => ENTITIES[entity.toLowerCase()] ?? entity)
    .replace(/\s+/g, " ")
    .trim();

/** Marks of Markdown taken away; a step stays a line. */
const bare = (text: string): string =>
  text
    .split("\n")
    .map(line =>
      line
        .replace(/^\s*(?:#{1,6}|[-*+]|\d+[.)]|>)\s+/, "")
        .replace(/\*\*|__|`/g, "")
        .replace(/\\([\\`*_[\]<>#|])/g, "$1")
        .trim(),
    )
    .filter(Boolean)
    .join("\n");

/** A table of lines as it was taken away: what goes in first, then each step by its title. */
function fromLines(text: string): Result<Brought> {
  const [head = "", ...rows] = text.trim().split("\n");
  const by = /[,;\t]/.exec(head)?.[0] ?? ",";
  const goesIn: string[] = [];
  const steps = new Map<string, string>();
  for (const [i, row] of rows.entries()) {
    const cells = cellsOf(row, by);
    const [step = "", what = "", ingredient = "", grams = ""] = cells;
    if (!/^\d+$/.test(step) || !what)
      return no(`Line ${i + 2} of the table has no step: “${row.slice(0, 60)}”.`, `line ${i + 2}`);
    if (ingredient && !(Number(grams.replace(",", ".")) >= 0))
      return no(`Line ${i + 2}: “${grams}” is no weight in grams.`, `line ${i + 2}`);
    if (ingredient && Number(grams.replace(",", ".")) > 0) goesIn.push(`${grams} g ${ingredient}`);
    steps.set(step, what);
  }
  if (!steps.size) return no("The table has no lines under its heading.");
  return ok({
    kind: "words",
    as: "a table of lines",
    text: [...goesIn, ...[...steps.values()].map(what => `${what}.`)].join("\n"),
    notes: "",
  });
}

/** Cells of a row; quotes hold what parts cells. */
const cellsOf = (row: string, by: string): string[] => {
  const cells: string[] = [];
  const one = new RegExp(
    `(?:^|${by === "\t" ? "\\t" : by})(?:"((?:[^"]|"")*)"|([^${by === "\t" ? "\\t" : by}]*))`,
    "g",
  );
  for (const [, quoted, plain] of row.matchAll(one))
    cells.push((quoted?.replaceAll('""', '"') ?? plain ?? "").trim());
  return cells;
};

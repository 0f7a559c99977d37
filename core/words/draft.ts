import { type KitchenData, STEP_KINDS, type StepKindName, madeIn } from "../formula";
import type { Ingredient } from "../things/larder";
import { g, printMass } from "../ground/quantity";
import { unbundled } from "./bundles";
import { clausesOf } from "./clauses";
import { contradictions, namesOfNothing, withSaltDoubts } from "./doubts";
import { asIngredients } from "./house-formulas";
import { longNumbersInFigures } from "./in-figures";
import { type SaidIngredient, type ShortNames, ingredientsSaid } from "./ingredients-said";
import { type Listed, readListed } from "./listed";
import { reductionSaid, temperatureSaid } from "./numbers-said";
import { negationsApart } from "./negations";
import type { DraftPiece } from "./piece";
import { readStep } from "./read-step";
import { kindSaid } from "./verbs";

/** More than any recipe; a book is pasted recipe by recipe. */
export const LONGEST_RECIPE = 20_000;
/** No sentence of a recipe is as long, and no word; such a stretch is kept as it stands and read as nothing. */
const LONGEST_CLAUSE = 1200;
const LONGEST_WORD = 60;

export interface RecipeDraft {
  readonly name: string;
  readonly pieces: readonly DraftPiece[];
  /** Words no step was found in. */
  readonly unread: readonly string[];
  /** Signs at the end that were not looked at, because the text is longer than `LONGEST_RECIPE`. */
  readonly leftOut: number;
}

/**
 * Reads a dictated or typed recipe into steps with their lines, temperatures, times and ends.
 *
 * Rules only, no network. What is missing is asked, never filled in silently: a usual amount stands as assumed.
 *
 * @param kitchen names are looked up in its larder and among its own formulas
 * @param id      makes a new id each time
 */
export function draftRecipe(
  text: string,
  kitchen: Pick<KitchenData, "ingredients" | "formulas" | "madeHere">,
  id: () => string,
): RecipeDraft {
  const larder = [...asIngredients(madeIn(kitchen)), ...kitchen.ingredients];
  const looked = upTo(text, LONGEST_RECIPE);
  const { name, listed: lines, clauses } = clausesOf(spaced(looked));
  const before: Before = { went: new Map(), opened: new Set(), listed: readListed(lines, larder) };
  const pieces: DraftPiece[] = [];
  const unread: string[] = [];
  for (const clause of clauses) {
    const { rest, nots } = isSentence(clause) ? negationsApart(clause) : { rest: "", nots: [] };
    const read = rest ? readClause(rest, clause, larder, id, before) : [];
    const last = pieces.at(-1);
    if (read.length) pieces.push(...read.map((piece, i) => (i ? piece : remarked(piece, nots))));
    // What is only told off belongs to what was just done.
    else if (nots.length && !rest && last) pieces[pieces.length - 1] = remarked(last, nots);
    else unread.push(clause);
    for (const one of read.flatMap(piece => piece.said)) before.went.set(one.ingredient.id, one.massG);
  }
  return {
    name,
    pieces: withSaltDoubts([...pieces, ...neverNamed(before, larder, id)]),
    unread,
    leftOut: text.length - looked.length,
  };
}

/** What is not to be done stands on the step, in the cook’s own words. */
function remarked(piece: DraftPiece, nots: readonly string[]): DraftPiece {
  if (!nots.length) return piece;
  const remark = [piece.step.remark, ...nots.map(capital)]
    .filter(Boolean)
    .join(". ")
    .slice(0, LONGEST_REMARK);
  return { ...piece, step: { ...piece.step, remark } };
}
const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
const LONGEST_REMARK = 300;

/** So much of a text, to the end of a line or sentence: half a sentence may say something else. */
function upTo(text: string, most: number): string {
  if (text.length <= most) return text;
  const start = text.slice(0, most);
  return start.slice(0, 1 + Math.max(start.lastIndexOf("\n"), start.lastIndexOf(". ")));
}

/** One blank between words, no more than one empty line, and no word that is none: what is read next takes its time by length. */
const spaced = (text: string): string =>
  text
    .split(/\r?\n/)
    .map(line =>
      line
        .split(/[^\S\n]+/)
        .join(" ")
        .trimEnd(),
    )
    .map(line => line.split(" ").map(shortened).join(" "))
    .join("\n");

const shortened = (word: string): string =>
  word.length > LONGEST_WORD ? `${word.slice(0, LONGEST_WORD)}…` : word;

const isSentence = (clause: string): boolean =>
  clause.length <= LONGEST_CLAUSE && !clause.split(" ").some(word => word.length > LONGEST_WORD);

/** What was said before a clause. */
interface Before {
  /** What went in, g by the id of its ingredient; `null` where no amount was said. */
  readonly went: Map<string, number | null>;
  /** The words for several things that were taken apart. */
  readonly opened: Set<string>;
  readonly listed: Listed;
}

/** What puts in, where no verb says so, and where the step of the verb takes nothing in. */
const PUT_IN: StepKindName = "add";

/** The steps of one clause, from what of it is meant to be done: one, or two where something goes in first; none where no step was found. */
function readClause(
  heardText: string,
  text: string,
  larder: readonly Ingredient[],
  id: () => string,
  before: Before,
): DraftPiece[] {
  const { shortNames } = before.listed;
  const { clause, questions: ofBundles } = unbundled(longNumbersInFigures(heardText), larder, before.opened);
  const spoken = ingredientsSaid(clause, larder, shortNames);
  const heardKind = stepSaid(clause) ?? (isJustNamed(clause, spoken, larder, shortNames) ? PUT_IN : null);
  if (!heardKind) return [];
  const heard =
    spoken.length === 0 && heardKind === "season"
      ? seasoningOf(before)
      : spoken.map(one => fromList(one, before));
  const takesNothing = !STEP_KINDS[heardKind].takesLines;
  const again = heard.filter(one => isAgain(one, before));
  const said = heard.filter(one => !again.includes(one) && (one.massG !== null || !takesNothing));
  const unknown = namesOfNothing(clause, heardKind, said, larder, shortNames);
  const own = {
    doubts: [
      ...contradictions(clause, said),
      ...(STEP_KINDS[heardKind].heard?.puts ? again.map(one => alreadyIn(one, before)) : []),
      ...unknown,
    ],
    questions: [
      ...ofBundles.map(ask => ({ about: "", ask })),
      ...(said.length + unknown.length === 0 && before.went.size === 0 && STEP_KINDS[heardKind].heard?.begins
        ? [{ about: "", ask: "What is it, and how much? Nothing has gone in yet." }]
        : []),
    ],
  };
  const read = (
    kind: StepKindName,
    lines: readonly SaidIngredient[],
    more: Partial<DraftPiece>,
    numbersIn = clause,
  ) => readStep(kind, text, numbersIn, lines, id, more);
  if (!takesNothing || said.length === 0) return [read(heardKind, said, own)];
  // So many litres of water cover it: nothing is left to be worked out from the pot.
  return heardKind === "cover"
    ? [read(PUT_IN, said, own)]
    : [read(PUT_IN, said, own, ""), read(heardKind, [], {})];
}

/** An ingredient without an amount of its own has the one the list gives it. */
function fromList(one: SaidIngredient, { listed }: Before): SaidIngredient {
  const wanted = one.massG === null ? listed.take(one.ingredient.id, one.part) : null;
  return wanted ? { ...wanted, definite: false } : one;
}

/** A "season" that names nothing means the salt and pepper of the list. */
const seasoningOf = ({ listed }: Before): SaidIngredient[] =>
  listed
    .left()
    .flatMap(({ said }) => (said && /\b(?:salt|pepper\w*)\b/.test(said.ingredient.name) ? [said] : []))
    .flatMap(one => listed.take(one.ingredient.id, null) ?? []);

/** "Salt, cayenne, lemon": no verb is needed to put in what is named first, nor beside an amount. */
function isJustNamed(
  clause: string,
  spoken: readonly SaidIngredient[],
  larder: readonly Ingredient[],
  shortNames: ShortNames,
): boolean {
  if (spoken.some(one => one.massG !== null)) return true;
  if (spoken.length && /^(?:gently |slowly )?(?:heat|warm|whisk|mix|stir|beat)\b/i.test(clause)) return true;
  const [first = ""] = clause.replace(/^(?:and|the|some|an?|more)\s+/i, "").split(/,|\band\b/);
  return (
    first.trim().split(/\s+/).length <= LONGEST_NAMED && ingredientsSaid(first, larder, shortNames).length > 0
  );
}
const LONGEST_NAMED = 3;

/** Bones are browned in the oven where a temperature of one is said. */
const OVEN_FROM_C = 140;

function stepSaid(clause: string): StepKindName | null {
  const kind = kindSaid(clause) ?? heldSaid(clause);
  // "Simmer until reduced by half" tells how far, not how long.
  if (kind === "simmer" && /\breduced\b/i.test(clause) && reductionSaid(clause)) return "reduce";
  return kind === "brown" && (temperatureSaid(clause)?.c ?? 0) >= OVEN_FROM_C ? "roast" : kind;
}

/** "8 h at 90 °C" needs no verb: below the boil it simmers, in the heat of an oven it roasts. */
function heldSaid(clause: string): StepKindName | null {
  const at = /\b(?:h|hours?|min|minutes?)\b/i.test(clause) ? temperatureSaid(clause)?.c : undefined;
  if (at === undefined) return null;
  return at >= OVEN_FROM_C ? "roast" : at >= SIMMERS_FROM_C && at <= BOILS_C ? "simmer" : null;
}
const SIMMERS_FROM_C = 60;
const BOILS_C = 101;

const isAgain = (one: SaidIngredient, { went }: Before): boolean =>
  one.definite && one.massG === null && went.has(one.ingredient.id);

function alreadyIn({ ingredient }: SaidIngredient, { went }: Before): string {
  const massG = went.get(ingredient.id) ?? null;
  const amount = massG === null ? "it" : `${printMass(g(massG))} of it`;
  return `“the ${ingredient.name}”: ${amount} went in before, so no more is added here. Put the earlier one where it belongs, or say how much more.`;
}

/** Lines of the list that no step named: a piece each, so that nothing is lost. */
const neverNamed = ({ listed }: Before, larder: readonly Ingredient[], id: () => string): DraftPiece[] =>
  listed.left().map(({ text, said }) =>
    readStep(PUT_IN, text, "", said ? [said] : [], id, {
      doubts: said
        ? ["The method does not say when this goes in. Taken, it goes in last."]
        : namesOfNothing(text, PUT_IN, [], larder, listed.shortNames),
    }),
  );

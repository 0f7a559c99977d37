import { plainName } from "../../things/larder";
import type { ReadEnd, ReadOut, ReadPiece } from "../read-out";

/** A recipe in plain words and what it must become; the fields are told in `docs/words.md`. */
export interface Asked {
  readonly id: string;
  readonly text: string;
  readonly things: readonly Thing[];
  readonly steps: readonly string[];
  readonly ends: readonly (ReadEnd & Readonly<Record<string, unknown>> & { readonly step: number })[];
  readonly mustAsk: readonly string[];
  readonly mustNot: readonly string[];
  readonly pans?: readonly number[] | null;
  readonly finishedG: readonly [number, number] | null;
  readonly body: readonly [number, number] | null;
}

interface Thing {
  readonly name: string;
  readonly accept?: readonly string[];
  readonly g?: number;
  readonly tol?: number;
  readonly range?: readonly [number, number];
  readonly either?: readonly number[];
  readonly asked?: boolean;
  readonly unknown?: boolean;
  readonly optional?: boolean;
  readonly perLitreG?: number;
  readonly perKgG?: number;
  readonly toPct?: number;
  readonly shareOfPct?: number;
}

export interface Score {
  readonly things: number;
  readonly right: number;
  /** Wrong or missing, and nobody was told. */
  readonly silent: readonly string[];
  readonly ends: number;
  readonly endsRight: number;
  readonly asks: number;
  readonly asked: number;
  readonly walks: boolean;
}

const named = (line: string, thing: Thing): boolean => {
  const own = plainName(line);
  const names = [thing.name, ...(thing.accept ?? [])].map(plainName);
  return names.some(n => n === own || n.split(" ").every(word => own.split(" ").includes(word)));
};

const near = (x: number, wanted: number, pct: number): boolean =>
  Math.abs(x - wanted) <= Math.max(0.05, (Math.abs(wanted) * pct) / 100);

/** How a reading stands against what a recipe must become. */
export function scoreOf(recipe: Asked, answer: ReadOut): Score {
  const lines = answer.pieces.flatMap(piece => piece.lines);
  const asks = answer.pieces.flatMap(piece => [...piece.questions, ...piece.doubts]);
  const isAsked = (thing: Thing) =>
    [thing.name, ...(thing.accept ?? [])].some(name =>
      asks.some(ask => plainName(ask).includes(plainName(name))),
    );
  const silent: string[] = [];
  let right = 0;
  for (const thing of recipe.things) {
    const found = lines.filter(line => named(line.name, thing));
    const told = isAsked(thing) || found.some(line => line.assumed);
    if (fits(thing, found, recipe.things)) right += 1;
    else if (thing.optional || (thing.unknown && isAsked(thing)) || (thing.asked && told)) right += 1;
    else if (!told) silent.push(thing.name);
  }
  const places = placed(recipe, answer);
  return {
    things: recipe.things.length,
    right,
    silent,
    ends: recipe.ends.length,
    endsRight: recipe.ends.filter(end => endHolds(end, answer, places[end.step] ?? -1)).length,
    asks: recipe.mustAsk.length,
    asked: recipe.mustAsk.filter(pattern => asks.some(ask => new RegExp(pattern, "i").test(ask))).length,
    walks: answer.walk !== null && answer.walk.problems.length === 0,
  };
}

/** A thing the larder knows by its own name is right with its grams, whether the recipe's author knew so or not. */
function fits(thing: Thing, found: ReadOut["pieces"][number]["lines"], all: readonly Thing[]): boolean {
  if (!found.length || thing.asked) return false;
  const masses = found.flatMap(line => (line.massG === null ? [] : [line.massG]));
  const tol = thing.tol ?? 3;
  const twins = all.filter(t => t.name === thing.name && t.g !== undefined);
  const wanted = [thing.g, ...(thing.either ?? [])].filter(x => x !== undefined);
  const total = masses.reduce((a, b) => a + b, 0);
  const isWanted = (m: number) =>
    wanted.some(w => near(m, w, tol)) ||
    (thing.range !== undefined && m >= thing.range[0] * 0.97 && m <= thing.range[1] * 1.03);
  if (isWanted(total) || masses.some(isWanted)) return true;
  if (
    twins.length > 1 &&
    near(
      total,
      twins.reduce((a, t) => a + (t.g ?? 0), 0),
      tol,
    )
  )
    return true;
  return found.some(
    ({ amount }) =>
      (amount.kind === "per-litre" && near(amount.gPerL, thing.perLitreG ?? NaN, tol)) ||
      (amount.kind === "per-kg" && near(amount.gPerKg, thing.perKgG ?? NaN, tol)) ||
      (amount.kind === "to-reach" && near(amount.value, thing.toPct ?? NaN, tol)) ||
      (amount.kind === "share-of-base" && near(amount.pct, thing.shareOfPct ?? NaN, tol)),
  );
}

/** Where each wanted step stands among the pieces, in order; −1 where it is missing. */
function placed(recipe: Asked, answer: ReadOut): number[] {
  let from = 0;
  return recipe.steps.map((wanted, i) => {
    if (recipe.pans && i > 0 && recipe.pans[i] !== recipe.pans[i - 1]) from = 0;
    const at = answer.pieces.findIndex((piece, k) => k >= from && wanted.split("|").includes(piece.kind));
    if (at >= 0) from = at + 1;
    return at;
  });
}

// prettier-ignore
const BANDS: Readonly<Record<string, readonly [number, number]>> = {
  broth: [0, 10], "light body": [10, 22], "soup-cream": [22, 33], "light coat": [33, 41], nappe: [41, 49],
  "heavy coat": [49, 58], mounding: [58, 67], standing: [67, 77], "piping-firm": [77, 100],
};

function endHolds(end: Asked["ends"][number], answer: ReadOut, at: number): boolean {
  if (at < 0) return false;
  return [at, at + 1, at - 1].some(i => {
    const piece: ReadPiece | undefined = answer.pieces[i];
    return piece !== undefined && holds(end, piece.end);
  });
}

function holds(wanted: Asked["ends"][number], got: ReadEnd): boolean {
  const tol = wanted["tol"] === undefined ? 5 : Number(wanted["tol"]);
  const share = got.toShare ?? (got.by === undefined ? undefined : 1 - got.by);
  const isNear = (a: number | undefined, b: unknown, by: number) =>
    typeof b !== "number" || (a !== undefined && Math.abs(a - b) <= by);
  const choices = [
    wanted.by !== undefined && share !== undefined && Math.abs(share - (1 - wanted.by)) <= 0.03,
    wanted.toShare !== undefined && share !== undefined && Math.abs(share - wanted.toShare) <= 0.03,
    wanted.toMl !== undefined && got.toMl !== undefined && near(got.toMl, wanted.toMl, tol),
    wanted.toG !== undefined && got.toG !== undefined && near(got.toG, wanted.toG, tol),
    wanted["body"] !== undefined && got.body !== undefined &&
      String(wanted["body"]).split("|").some(band => (got.body ?? NaN) >= (BANDS[band]?.[0] ?? 0) - 2 && (got.body ?? NaN) <= (BANDS[band]?.[1] ?? 0) + 2),
    Boolean(wanted.dry) && (got.dry !== undefined || (share !== undefined && share <= 0.15)),
  ]; // prettier-ignore
  const wantsOne = ["by", "toShare", "toMl", "toG", "body", "dry"].some(key => wanted[key] !== undefined);
  const minutes = wanted["minutes"] as unknown as readonly [number, number] | undefined;
  const atMost = wanted["atMost"] === true;
  return (
    (!wantsOne || choices.some(Boolean)) &&
    (minutes === undefined ||
      (got.minutes !== undefined &&
        got.minutes >= minutes[0] * 0.95 - 0.5 &&
        got.minutes <= minutes[1] * 1.05 + 0.5)) &&
    (atMost
      ? got.tempC !== undefined && got.tempC <= Number(wanted.tempC) + 1
      : isNear(got.tempC, wanted.tempC, 1)) &&
    isNear(got.ovenC, wanted.ovenC, 2) &&
    isNear(got.holdC, wanted.holdC, 2) &&
    (wanted.depthMm === undefined || (got.depthMm !== undefined && near(got.depthMm, wanted.depthMm, tol))) &&
    (wanted.portionG === undefined ||
      (got.portionG !== undefined && near(got.portionG, wanted.portionG, tol)))
  );
}

import {
  type AmountRelation,
  type FormulaDocument,
  type KitchenData,
  type Step,
  type Walk,
  openKitchen,
  walk,
  finalState,
  panOf,
} from "../formula";
import { massOfPools } from "../things/pot";
import { draftRecipe } from "./draft";
import { formulaFromDraft } from "./formula-from-draft";
import type { DraftPiece } from "./piece";

/** Where a piece ends, in figures; what it does not say is absent. Shares 0–1, g, ml, °C, min, mm. */
export interface ReadEnd {
  readonly by?: number;
  readonly toShare?: number;
  readonly toMl?: number;
  readonly toG?: number;
  readonly body?: number;
  readonly brix?: number;
  readonly saltPct?: number;
  readonly dry?: string;
  readonly tempC?: number;
  readonly minutes?: number;
  readonly ovenC?: number;
  readonly holdC?: number;
  readonly depthMm?: number;
  readonly portionG?: number;
}

export interface ReadLine {
  readonly name: string;
  /** What the walk weighs in; `null` where it did not come so far. */
  readonly massG: number | null;
  /** The relation, with the grams a litre, kilogram or portion of it takes as `g`. */
  readonly amount: AmountRelation & { readonly g?: number };
  readonly assumed: boolean;
  readonly known: boolean;
}

export interface ReadPiece {
  readonly text: string;
  /** What is done, in the plainest word: what is poached, braised or cooked under fat is simmered. */
  readonly kind: Step["kind"];
  /** The exact kind of step. */
  readonly step: Step["kind"];
  /** Nothing about it is left open. */
  readonly clear: boolean;
  readonly vessel: string | null;
  readonly lines: readonly ReadLine[];
  readonly end: ReadEnd;
  readonly questions: readonly string[];
  readonly doubts: readonly string[];
}

/** A recipe in words as it was understood, and walked with every question answered as it is taken. */
export interface ReadOut {
  readonly name: string;
  readonly document: FormulaDocument | null;
  readonly pieces: readonly ReadPiece[];
  /** What became of each word. */
  readonly words: readonly { readonly text: string; readonly as: "used" | "remark" | "asked" | "filler" }[];
  /** Sentences no step was found in. */
  readonly unread: readonly string[];
  readonly walk: {
    readonly finishedG: number;
    readonly finishedMl: number;
    /** 0–100; `null` where it has none. */
    readonly body: number | null;
    readonly problems: readonly string[];
  } | null;
}

/** Reads a recipe and walks what it became: the same on the page, the command line and the interface. */
export function readOut(text: string, data: KitchenData): ReadOut {
  let made = 0;
  const draft = draftRecipe(text, data, () => `r${(made += 1)}`);
  const document = formulaFromDraft(draft.name, draft.pieces);
  const walked = document && walk(document, openKitchen(data));
  const sauce = walked?.states.findLast(state => panOf(state.step) === "" && state.body);
  return {
    name: draft.name,
    document,
    pieces: draft.pieces.map((piece, i) => pieceOut(piece, document?.steps[i] ?? piece.step, walked, i)),
    words: draft.words.map(({ text, as }) => ({ text, as })),
    unread: draft.unread,
    walk: walked && {
      finishedG: walked.finishedG - piecesForThePlate(walked, document),
      finishedMl: walked.finishedMl,
      body: sauce?.body?.thickness ?? null,
      problems: walked.problems.map(problem => problem.message),
    },
  };
}

/** What was lifted out, kept and put back lies in the sauce but is none of it, g. */
function piecesForThePlate(walked: Walk, document: FormulaDocument): number {
  if (!document.steps.some(step => step.kind === "put-back")) return 0;
  const parts = finalState(walked.states)?.pot.solids ?? [];
  return parts
    .filter(part => part.kind === "meat" || part.kind === "poultry-whole")
    .reduce((sum, part) => sum + massOfPools(part.pools), 0);
}

function pieceOut(piece: DraftPiece, step: Step, walked: Walk | null, index: number): ReadPiece {
  const state = walked?.states[index];
  return {
    text: piece.text,
    kind: PLAIN_KINDS[step.kind] ?? step.kind,
    step: step.kind,
    clear: piece.questions.length + piece.doubts.length === 0,
    vessel: state?.vessel?.name ?? null,
    lines: [
      ...rubbedOn(step, piece),
      ...step.lines.map((line, i): ReadLine => {
        const said = piece.said[i];
        const { amount } = line;
        return {
          name: said
            ? (said.unknown ?? said.ingredient.name)
            : "larder" in line.of
              ? line.of.larder
              : line.of.formula,
          massG: state?.lines.find(l => l.lineId === line.id)?.massG ?? said?.massG ?? null,
          amount: { ...amount, ...gramsOf(amount) },
          assumed: line.certainty === "assumed",
          known: !said?.unknown,
        };
      }),
    ],
    end: defined({ ...(piece.saidMin !== undefined && { minutes: piece.saidMin }), ...endOut(step) }),
    questions: piece.questions.map(q => q.ask),
    doubts: piece.doubts,
  };
}

/** Salt and sugar of a cure, which the step keeps as shares of what is cured. */
function rubbedOn(step: Step, piece: DraftPiece): ReadLine[] {
  if (step.kind !== "cure") return [];
  const massG = piece.said.reduce((sum, one) => sum + (one.massG ?? 0), 0);
  return [["fine salt", step.saltPct] as const, ["sugar", step.sugarPct] as const]
    .filter(([, pct]) => pct > 0)
    .map(([name, pct]) => ({
      name,
      massG: (massG * pct) / 100,
      amount: { kind: "share-of-base", pct },
      assumed: false,
      known: true,
    }));
}

const PLAIN_KINDS: Partial<Record<Step["kind"], Step["kind"]>> = {
  braise: "simmer",
  poach: "simmer",
  confit: "simmer",
};

const gramsOf = (amount: AmountRelation): { g?: number } =>
  amount.kind === "per-litre" ? { g: amount.gPerL } : amount.kind === "per-kg" ? { g: amount.gPerKg } : {};

/** Fields by which a step ends, and what each is called outside. */
function endOut(step: Step): ReadEnd {
  const fields = step as unknown as Readonly<Record<string, unknown>>;
  const number = (name: string): number | undefined =>
    typeof fields[name] === "number" ? fields[name] : undefined;
  const target = step.kind === "reduce" ? step.target : undefined;
  const until = step.kind === "simmer" ? step.until : undefined;
  return defined({
    ...(target && targetOut(target)),
    ...(until && targetOut(until)),
    minutes: step.kind === "reduce" ? step.orAfterMin : (number("rouxMin") ?? number("durationMin")),
    ...(step.kind === "dry" && { dry: "gone" }),
    ovenC: number("ovenC") ?? (step.kind === "braise" && step.where === "oven" ? step.atC : undefined),
    holdC: number("holdC"),
    ...(number("toC") !== undefined && { tempC: number("toC") }),
    depthMm: number("depthMm"),
    portionG: number("portionG"),
  });
}

const targetOut = (end: Extract<Step, { kind: "reduce" }>["target"]): ReadEnd => {
  if ("by" in end) return { by: end.by };
  if ("to" in end) return { toShare: end.to };
  if ("endMl" in end) return { toMl: end.endMl };
  if ("endG" in end) return { toG: end.endG };
  if ("stopC" in end) return { tempC: end.stopC };
  return end;
};

const defined = (end: { readonly [K in keyof ReadEnd]: ReadEnd[K] | undefined }): ReadEnd =>
  Object.fromEntries(Object.entries(end).filter(([, value]) => value !== undefined));

import { z } from "zod";
import { FIGURES, kindOf } from "../formula";
import { BONE_CLASSES, type BoneClass, classOfKind } from "../laws/stock";
import { potMass } from "../things/pot";
import type { RunState } from "./fold";
import type { StepProgress } from "./progress";
import { isTappedThrough } from "./tapped";

/** What a finished batch says of the figures the sums rest on: what was foreseen with them, and what was read. */
export const taughtSchema = z.strictObject({
  /** °Brix a simmer came to; g of steam while it was held; °C in an oven. */
  what: z.enum(["extraction", "holding", "oven"]),
  /** Bones of an extraction; empty otherwise. */
  of: z.string().max(20),
  foreseen: z.number(),
  read: z.number(),
});
export type Taught = Readonly<z.infer<typeof taughtSchema>>;

/** A reading in the last part of a simmer stands for its end. Our estimate. */
const AT_ITS_END = 0.85;
/** A loss smaller than this drowns in the scale, share of the pot. Our estimate. */
const LEAST_LOSS = 0.01;

export function taughtBy(run: RunState): Taught[] {
  return run.steps.flatMap(progress =>
    progress.status === "done" && !isTappedThrough(progress)
      ? [...extractionOf(progress), ...holdingOf(progress), ...ovenOf(progress)]
      : [],
  );
}

/** °Brix at the end of a simmer, by the bones that lie in it most. */
function extractionOf({ step, readings, foreseen, begunAt, doneAt }: StepProgress): Taught[] {
  if (step.kind !== "simmer" || !foreseen || begunAt === null || doneAt === null) return [];
  const last = readings.findLast(r => r.kind === "measured" && r.what === "brix");
  const of = bonesIn(foreseen.pot.solids.map(part => [classOfKind(part.kind), part.rawG]));
  const planned = FIGURES.brix.of(foreseen);
  if (!of || !planned || last?.value === undefined || last.value <= 0) return [];
  const late = (last.at - begunAt) / (doneAt - begunAt) >= AT_ITS_END;
  return late ? [{ what: "extraction", of, foreseen: planned, read: last.value }] : [];
}

/** The class that weighs most; vegetables beside bones only lend them company. */
function bonesIn(parts: readonly (readonly [BoneClass, number])[]): BoneClass | null {
  const weight = (of: BoneClass) => parts.reduce((sum, [c, massG]) => sum + (c === of ? massG : 0), 0);
  const most = BONE_CLASSES.filter(c => c !== "vegetables").sort((a, b) => weight(b) - weight(a))[0];
  return most && weight(most) > 0 ? most : null;
}

/** Steam of a hold, by weight before and after. */
function holdingOf({ step, readings, foreseen, from, turns }: StepProgress): Taught[] {
  const last = readings.findLast(r => r.kind === "weighed");
  if (step.kind !== "hold" || !foreseen || last?.massG === undefined || turns.length) return [];
  const before = potMass(from);
  const planned = before - foreseen.massG;
  const read = before - last.massG;
  return planned > LEAST_LOSS * before && read > 0
    ? [{ what: "holding", of: "", foreseen: planned, read }]
    : [];
}

/** What an oven read beside its dial, the mean of a step. */
function ovenOf({ step, readings }: StepProgress): Taught[] {
  const dialC = kindOf(step).ovenC?.(step) ?? null;
  const read = readings.flatMap(r =>
    r.kind === "probed" && r.where === "oven" && r.temperatureC !== undefined ? [r.temperatureC] : [],
  );
  return dialC !== null && read.length
    ? [
        {
          what: "oven",
          of: "",
          foreseen: dialC,
          read: read.reduce((sum, c) => sum + c, 0) / read.length,
        },
      ]
    : [];
}

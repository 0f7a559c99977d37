import { type EmulsionInput, bareEmulsion, withPart } from "../emulsion";
import type { FactValues } from "../../ground/facts";
import { ACID_IDS, type SauceState, bodyOf, fatPctOf, massOfSauce, saltPctOf } from "../texture";

/** What the sauce is once a remedy is done. */
export interface After {
  readonly massG: number;
  readonly saltPct: number;
  readonly fatPct: number;
  readonly acidPct: number;
  readonly sugarPct: number;
  /** 0–100; `null` where the model does not reach. */
  readonly thickness: number | null;
}

export interface Remedy {
  readonly what: string;
  /** Grams to add; negative: to take out or boil off; 0: nothing by weight. */
  readonly addG: number;
  /** What is done first, second … */
  readonly order: readonly string[];
  readonly after: After;
  /** What it does besides, and what it cannot mend. */
  readonly besides: readonly string[];
  /** What goes in, by its id in the larder, g; water is not counted. */
  readonly brings: Readonly<Record<string, number>>;
}

export interface FixTarget {
  readonly thickness?: number;
  readonly saltPct?: number;
  readonly acidPct?: number;
  readonly fatPct?: number;
  /** Mass it should have had, g. */
  readonly massG?: number;
}

export interface FixInput {
  readonly state: SauceState;
  readonly temperatureC: number;
  readonly target: FixTarget;
  /** The same sauce as an emulsion, where it was beaten up and its oil is what gives it body. */
  readonly emulsion?: EmulsionInput | null;
}

/** All acids of a sauce, per cent of its mass. */
export const acidPctOf = (s: SauceState): number =>
  (100 * ACID_IDS.reduce((sum, id) => sum + (s.acids[id] ?? 0), 0)) / massOfSauce(s);

/**
 * What an emulsion has become once its sauce is `next`: where oil left, as much of its water phase left with it; of what
 * came in, oil is oil, yolk is yolk and the rest is water.
 */
function emulsionOfNext(input: EmulsionInput, start: SauceState, next: SauceState): EmulsionInput {
  const kept = start.fatG > 0 ? Math.min(1, next.fatG / start.fatG) : 1;
  const oilInG = Math.max(0, next.fatG - start.fatG);
  const yolkInG = Math.max(0, next.yolkG - kept * start.yolkG);
  const waterInG = massOfSauce(next) - kept * massOfSauce(start) - oilInG - yolkInG;
  const parts = input.parts.map(part => ({ ...part, massG: part.massG * kept }));
  return {
    ...input,
    oilG: input.oilG * kept + oilInG,
    parts: withPart(withPart(parts, "water", Math.max(0, waterInG)), "yolk", yolkInG),
  };
}

/** What the sauce would be as `next`. A body beyond the model is `null`. */
export function afterOf(
  next: SauceState,
  { state, temperatureC, emulsion }: FixInput,
  facts: FactValues,
): After {
  const body = emulsion ? null : bodyOf(next, temperatureC, facts);
  const thickness = emulsion
    ? bareEmulsion(emulsionOfNext(emulsion, state, next), facts).thickness
    : body?.ok
      ? body.value.thickness
      : null;
  return {
    massG: massOfSauce(next),
    saltPct: saltPctOf(next),
    fatPct: fatPctOf(next),
    acidPct: acidPctOf(next),
    sugarPct: (100 * next.sugarG) / massOfSauce(next),
    thickness,
  };
}

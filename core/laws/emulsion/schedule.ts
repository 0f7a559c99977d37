import type { FactValues } from "../../ground/facts";
import { type Result, checkNumber, ok, refuse } from "../../ground/result";
import { type EmulsionTool, toolOf } from "./parts";

export interface OilDose {
  readonly doseG: number;
  /** Oil in it before and after this dose, g. */
  readonly fromG: number;
  readonly toG: number;
  /** Pace at its end, g per min. */
  readonly gPerMin: number;
}

export interface OilSchedule {
  readonly doses: readonly OilDose[];
  readonly seconds: number;
  readonly startGPerS: number;
  readonly endGPerS: number;
  /** A teaspoon of water goes in before this dose, or nowhere. */
  readonly waterBefore: number | null;
}

const MERGES_BELOW = 0.25;
const MOST_DOSES = 500;

/**
 * How the oil goes in: each dose a share of the emulsion already formed.
 *
 * @param phaseG water phase, g; `oilG` oil, g
 * @param waterAtOilG oil at which a teaspoon of water helps, g; nowhere when absent
 * @errors NEGATIVE · NOT_FINITE · EMPTY
 * Source: own rule dm/dt = k (m_c + m), docs/models.md "Emulsions" (D4). @example 85 g, 300 g oil, whisk → 17 doses, 4.25 first, 336 s
 */
export function oilSchedule(
  phaseG: number,
  oilG: number,
  tool: EmulsionTool,
  facts: FactValues,
  waterAtOilG?: number,
): Result<OilSchedule> {
  const problems = [
    ...checkNumber(phaseG, "parts", "The water phase"),
    ...checkNumber(oilG, "oilG", "The oil"),
  ];
  if (problems.length) return refuse(...problems);
  if (!(phaseG > 0) || !(oilG > 0))
    return refuse({
      code: "EMPTY",
      field: phaseG > 0 ? "oilG" : "parts",
      message:
        phaseG > 0 ? "Say how much oil goes in." : "Say what the oil goes into: yolk, mustard, vinegar.",
    });
  const { dose: share, takesPerS } = toolOf(tool, facts);
  const sizes: number[] = [];
  let formed = phaseG;
  for (let left = oilG; left > 1e-9 && sizes.length < MOST_DOSES;) {
    const size = Math.min(left, (sizes.length ? share : share / 2) * formed);
    sizes.push(size);
    formed += size;
    left -= size;
  }
  const [last = 0, before = 0] = [sizes.at(-1), sizes.at(-2)];
  if (sizes.length > 1 && last < MERGES_BELOW * before) sizes.splice(-2, 2, last + before);
  let from = 0;
  const doses = sizes.map((doseG): OilDose => {
    const fromG = from;
    from += doseG;
    return { doseG, fromG, toG: from, gPerMin: 60 * takesPerS * (phaseG + from) };
  });
  const water = waterAtOilG === undefined ? -1 : doses.findIndex(d => d.toG > waterAtOilG);
  return ok({
    doses,
    seconds: Math.log((phaseG + oilG) / phaseG) / takesPerS,
    startGPerS: takesPerS * phaseG,
    endGPerS: takesPerS * (phaseG + oilG),
    waterBefore: water >= 0 ? water : null,
  });
}

export interface OilStage {
  readonly name: "drops" | "thin thread" | "thread";
  readonly fromG: number;
  readonly toG: number;
  readonly gPerMin: number;
  readonly doseG: number;
  readonly seconds: number;
}

const STAGE_ENDS = [0.1, 0.4, 1] as const;
const STAGE_NAMES = ["drops", "thin thread", "thread"] as const;

/** The same oil in three stages a cook can keep to: drops for the first tenth, a thin thread, then a thread. */
export function oilStages(phaseG: number, oilG: number, tool: EmulsionTool, facts: FactValues): OilStage[] {
  const { dose, takesPerS } = toolOf(tool, facts);
  if (dose >= 1)
    return [
      {
        name: "thread",
        fromG: 0,
        toG: oilG,
        gPerMin: 60 * takesPerS * phaseG,
        doseG: oilG,
        seconds: Math.log((phaseG + oilG) / phaseG) / takesPerS,
      },
    ];
  return STAGE_ENDS.map((end, i): OilStage => {
    const fromG = (STAGE_ENDS[i - 1] ?? 0) * oilG;
    const toG = end * oilG;
    const seconds = Math.log((phaseG + toG) / (phaseG + fromG)) / takesPerS;
    return {
      name: STAGE_NAMES[i] ?? "thread",
      fromG,
      toG,
      gPerMin: (60 * (toG - fromG)) / seconds,
      doseG: dose * (phaseG + fromG) * (i === 0 ? 0.5 : 1),
      seconds,
    };
  });
}

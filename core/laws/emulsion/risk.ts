import type { FactValues } from "../../ground/facts";
import { piecewise, printNumber, ramp } from "../../ground/quantity";
import { breaksAtC } from "../texture";
import { type EmulsionInput, bareEmulsion, waterFor } from "./emulsion";
import { type EmulsionKind, HAND_TOOLS, WINDOWS, massOf, toolOf } from "./parts";

export const RISK_IDS = [
  "packing",
  "capacity",
  "rate",
  "cold",
  "hot",
  "shear",
  "small-start",
  "salt",
  "acid",
  "freeze",
] as const;
export type RiskId = (typeof RISK_IDS)[number];

export interface RiskReason {
  readonly id: RiskId;
  /** 0–0.95. */
  readonly share: number;
  /** Cause and cure in a cook's words. */
  readonly text: string;
}

export interface BreakRisk {
  /** 0–100. */
  readonly score: number;
  readonly level: "low" | "moderate" | "high" | "do not start";
  /** Largest first; those too small to name are left out. */
  readonly reasons: readonly RiskReason[];
  /** Oil that can still go in before packing counts, g; negative when it is past. */
  readonly oilLeftG: number;
}

export interface RiskInput extends EmulsionInput {
  readonly kind: EmulsionKind;
  /** Actual over recommended pace of the oil. */
  readonly pace?: number;
  readonly pH?: number;
  readonly frozen?: boolean;
}

const NAMED_FROM = 0.005;
const COLD_HOT_EMULSION_C = 45;
/** Share of oil the cure by water aims at. */
export const EASY_FAT_VOLUME = { cold: 0.78, hot: 0.65 } as const;

/**
 * How likely an emulsion is to break, and why.
 *
 * Ten causes, each 0–0.95, counted as independent: R = 1 − Π (1 − r).
 * Source: list of causes common practice; sizes our estimates (D.6). @example 300 g oil on two yolks → 25: shear 0.152, packing 0.111
 */
export function breakRisk(input: RiskInput, facts: FactValues): BreakRisk {
  const e = bareEmulsion(input, facts);
  const window = WINDOWS[input.kind];
  const t = input.temperatureC;
  const phi = e.fatVolume;
  const hotC = input.kind === "beurre-blanc" ? Math.min(window.hotC, breaksAtC(phi)) : window.hotC;
  const salt = massOf(input.parts, "salt") / e.phaseG;
  const easy = waterFor(input, window.hot ? EASY_FAT_VOLUME.hot : EASY_FAT_VOLUME.cold);
  const tool = input.tool === null ? null : toolOf(input.tool, facts);
  const shear = tool?.weak ?? 0.95;
  const least = tool?.leastG ?? 0;
  const byHand = input.tool !== null && HAND_TOOLS.includes(input.tool);
  const reasons: RiskReason[] = [
    {
      id: "packing",
      share: piecewise(phi, [
        [0.74, 0],
        [0.8, 0.1],
        [0.84, 0.4],
        [0.87, 0.8],
        [0.9, 0.95],
      ]),
      text: `too much oil for the water: add ${printNumber(easy)} g water`,
    },
    {
      id: "capacity",
      share: Number.isFinite(e.capacityUsed) ? ramp(e.capacityUsed, 1, 0, 6, 0.8) : 0.8,
      text: "too little emulsifier: another yolk, or mustard",
    },
    {
      id: "rate",
      share: ramp(input.pace ?? 1, 1, 0, 3, 0.8),
      text: "oil too fast: stop, beat it in, go on in drops",
    },
    {
      id: "cold",
      share: window.hot
        ? ramp(t, COLD_HOT_EMULSION_C, 0, COLD_HOT_EMULSION_C - 15, 0.9)
        : ramp(t, 12, 0, 2, 0.5),
      text: window.hot
        ? `too cold at ${printNumber(t)} °C: warm it to ${window.makeC.join("–")} °C`
        : `too cold at ${printNumber(t)} °C: everything to ${window.makeC.join("–")} °C first`,
    },
    {
      id: "hot",
      share: window.hot ? ramp(t, hotC, 0, hotC + 10, 0.95) : ramp(t, 40, 0, 65, 0.7),
      text: `too hot at ${printNumber(t)} °C: ${window.hot ? `below ${printNumber(hotC)} °C, a spoon of cold water` : "let it cool"}`,
    },
    {
      id: "shear",
      share: Math.min(0.95, shear + (byHand ? ramp(phi, 0.7, 0, 0.85, 0.15) : 0)),
      text:
        input.tool === null
          ? "only stirred: beat it"
          : `a ${input.tool} alone beats this much oil too coarsely`,
    },
    {
      id: "small-start",
      share: least > 0 ? ramp(e.phaseG, least, 0, least / 3, 0.6) : 0,
      text: `the ${input.tool ?? "tool"} cannot catch so little: at least ${printNumber(least)} g to begin with`,
    },
    {
      id: "salt",
      share: ramp(salt, 0.08, 0, 0.2, 0.4),
      text: "so much salt clumps the yolk: salt at the end",
    },
    {
      id: "acid",
      share:
        input.pH === undefined
          ? 0
          : input.kind === "milk"
            ? ramp(Math.abs(input.pH - 4.6), 0.8, 0, 0.2, 0.5)
            : ramp(input.pH, 2.8, 0, 2.2, 0.3),
      text: input.kind === "milk" ? "milk curdles at just this sourness" : "too sour: the yolk stiffens",
    },
    { id: "freeze", share: input.frozen ? 0.8 : 0, text: "frozen emulsions break: make it fresh" },
  ];
  const score = Math.round(100 * (1 - reasons.reduce((p, r) => p * (1 - r.share), 1)));
  return {
    score,
    level: score < 20 ? "low" : score < 50 ? "moderate" : score <= 75 ? "high" : "do not start",
    reasons: reasons.filter(r => r.share > NAMED_FROM).sort((a, b) => b.share - a.share),
    oilLeftG: (0.8 / (1 - 0.8)) * e.phaseMl * (input.oilG / e.oilMl) - input.oilG,
  };
}

import type { FactValues } from "~/core/ground/facts";
import {
  type Kitchen,
  type KitchenData,
  displacedIn,
  heapsOf,
  detailOf,
  kindOf,
  openKitchen,
  placeOf,
  panOf,
} from "~/core/formula";
import { liquorMass, volumeMlOf } from "~/core/things/pot";
import { waysToRead } from "~/core/kit";
import { type Grams, g, ml } from "~/core/ground/quantity";
import type { Warning } from "~/core/ground/result";
import {
  type LiveForecast,
  type Prompt,
  type RunState,
  type StepBand,
  type Timer,
  UNKNOWN_BAND,
  fold,
  forecastOf,
  facing,
  isImprovised,
  lastMinute,
  promptsNow,
  watchNow,
} from "~/core/run";
import { type Vessel, bulkMl, geometryOfVessel } from "~/core/things/vessel";

import { type LiquidLook, lookOf } from "../ui/liquid";
import type { LiveRun } from "./live-run.server";

/** A pot as it should stand at this moment. */
export interface PotNow {
  readonly live: LiveRun;
  /** What it is called: the formula’s name, and its own where it is a second pan. */
  readonly name: string;
  /** Name of the second pan; "" for the main pot. */
  readonly pan: string;
  /** Page of this pot. */
  readonly to: string;
  readonly burnerId: string;
  /** What the sums of this kitchen rest on. */
  readonly facts: FactValues;
  readonly state: RunState;
  readonly forecast: LiveForecast | null;
  /** 90 % widths of the step at work. */
  readonly band: StepBand;
  readonly title: string;
  readonly detail: string;
  readonly vessel: Vessel | null;
  readonly place: "fire" | "oven" | "bench" | "cold";
  /** Cooked without a formula. */
  readonly improvised: boolean;
  /** Somebody has put it off the fire in the middle of a step. */
  readonly offFire: boolean;
  /** What to look at now. */
  readonly watch: readonly Warning[];
  /** Rings by itself before its mark. */
  readonly alarm: Timer | null;
  /** What is easily forgotten here. */
  readonly prompts: readonly Prompt[];
  readonly startMm: number | null;
  readonly nowMm: number | null;
  /** 90 % limits of the level now. */
  readonly nowLoMm: number | null;
  readonly nowHiMm: number | null;
  readonly markMm: number | null;
  /** Level the step is foreseen to end at. */
  readonly endMm: number | null;
  readonly grossMarkG: Grams | null;
  /** How its contents can be read: a pot too heavy for the scales here is dipped. */
  readonly reading: { readonly weigh: boolean; readonly words: string };
  readonly liquid: LiquidLook;
  /** Height of the heap of solids, 0 without any. */
  readonly bulkMm: number;
}

/** A live run as its readings have left it: it changes with a reading, not with the clock. */
export interface FoldedPot {
  readonly live: LiveRun;
  readonly kitchen: Kitchen;
  readonly state: RunState;
}

export function foldPot(live: LiveRun, kitchen: KitchenData): FoldedPot {
  const opened = openKitchen(kitchen, {}, live.run.burnerId);
  return { live, kitchen: opened, state: fold(live.events, live.document, opened) };
}

/** All pots of a run: the main one, and each second pan that can be worked now. */
export function potsAt(folded: FoldedPot, now: number): PotNow[] {
  const { state } = folded;
  return state.open.length < 2
    ? [potAt(folded, now)]
    : state.open.map(index => potAt({ ...folded, state: facing(state, index) }, now));
}

/** Works out a live run at a moment, from what its readings have left: all that the clock alone moves. Pure, so that page
 * and server agree. */
export function potAt({ live, kitchen: opened, state }: FoldedPot, now: number): PotNow {
  // A pot without a formula has no end that anybody could foresee.
  const improvised = isImprovised(live.document);
  const forecast = improvised ? null : forecastOf(state, now, i => live.bands[i] ?? UNKNOWN_BAND);
  const progress = state.steps[state.current];
  const vessel = progress?.foreseen?.vessel ?? state.vessel;
  const foreseen = progress?.foreseen ?? null;
  // After a change under way the level is that of the pot as it stood then.
  const from = progress?.legs.at(-1)?.from ?? progress?.from ?? state.pot;
  const startG = liquorMass(from);
  const level = (liquorG: number, pot = from): number | null => {
    const here = liquorMass(pot);
    if (!vessel || here <= 0) return null;
    const perGram = volumeMlOf(pot.liquor, pot.temperatureC) / here;
    return geometryOfVessel(vessel).levelClipped(ml(liquorG * perGram + displacedIn(pot, opened.facts)));
  };
  const endPot = foreseen?.pot ?? from;
  const fromLiquid = liquorMass(from) > 0;
  /** Level for everything in the pot weighing so much. */
  const levelFor = (massG: number | null | undefined): number | null =>
    massG == null ? null : level(Math.max(0, massG - massOutside(from)), fromLiquid ? from : endPot);
  const levelNow = fromLiquid ? level(startG) : (foreseen?.levelMm ?? null);
  const offFire = progress?.burnerId === null;
  const pan = progress ? panOf(progress.step) : "";
  const page = `/stove/${live.run.id}`;
  return {
    live,
    name: pan ? `${live.document.name}, ${progress?.step.pan}` : live.document.name,
    pan,
    to: state.open.length > 1 || pan ? `${page}?pan=${encodeURIComponent(pan)}` : page,
    burnerId: progress?.burnerId ?? live.run.burnerId,
    facts: opened.facts,
    state,
    forecast,
    band: live.bands[state.current] ?? UNKNOWN_BAND,
    title: progress
      ? kindOf(progress.step).title(
          progress.step,
          progress.planned.lines.map(l => l.name),
        )
      : "All steps done",
    detail: progress ? detailOf(progress.step, foreseen ?? progress.planned) : "",
    vessel,
    place:
      !progress || offFire || vessel?.use === "container"
        ? "bench"
        : improvised
          ? "fire"
          : placeOf(progress.step),
    improvised,
    offFire,
    alarm: progress ? lastMinute(progress, forecast, live.events, now) : null,
    prompts: promptsNow(state, forecast, opened),
    watch: progress ? watchNow(progress, forecast, opened, now) : [],
    startMm:
      progress?.legs[0]?.foreseen.mark?.startMm ??
      foreseen?.mark?.startMm ??
      (fromLiquid ? level(startG) : null),
    nowMm: forecast?.massNowG == null ? levelNow : levelFor(forecast.massNowG),
    nowLoMm: levelFor(forecast?.massLoG),
    nowHiMm: levelFor(forecast?.massHiG),
    markMm: foreseen?.mark?.markMm ?? null,
    endMm: foreseen?.mark?.markMm ?? foreseen?.levelMm ?? null,
    grossMarkG: foreseen && vessel && foreseen.mark ? ((vessel.tareG + foreseen.massG) as Grams) : null,
    reading: waysToRead(
      opened.data.appliances,
      g((vessel?.tareG ?? 0) + (forecast?.massNowG ?? foreseen?.massG ?? 0)),
    ),
    liquid: lookOf(endPot.liquor),
    bulkMm: bulkOf(endPot, vessel, opened),
  };
}

function bulkOf(pot: RunState["pot"], vessel: Vessel | null, kitchen: Kitchen): number {
  if (!vessel || !pot.solids.length) return 0;
  const geometry = geometryOfVessel(vessel);
  return geometry.levelClipped(bulkMl(heapsOf(pot), kitchen.facts));
}

const massOutside = (pot: RunState["pot"]): number =>
  pot.floatFatG +
  pot.solids.reduce((sum, part) => sum + Object.values(part.pools).reduce((a, b) => a + b, 0), 0);

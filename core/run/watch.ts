import { type Kitchen, displacedIn, heapsOf } from "../formula";
import { g, ml, printDuration, printMass, printNumber, s } from "../ground/quantity";
import type { Warning } from "../ground/result";
import { filmSolids, heatIntoPan, scorchOf, scorchWarning } from "../laws/reduction";
import { type PotState, fatCapPct, liquorMass, massOfPools, potMass, volumeMlOf } from "../things/pot";
import { bulkMl, geometryOfVessel } from "../things/vessel";
import type { LiveForecast } from "./forecast";
import type { StepProgress } from "./progress";

/** What a cook should look at now, from the pot as it should stand at this moment. */

/** Heap above the liquor by more than this is said, mm. Our estimate. */
const BARE_MM = 5;
/** A fat cap from here on is worth taking off, per cent of everything in the pot. Our estimate. */
const FATTY_PCT = 1;
/** What skimming and what chilling and lifting leave, per cent. Common practice, no source. */
const LEFT_PCT = { skim: 0.9, chill: 0.2 };
const CHILL_HOURS = 8;
const SKIMS: readonly string[] = ["skim", "degrease", "strain"];

/** A stock simmers this far under the boil of its kitchen, K. Common practice, no source. */
const BAND_K = { from: 8, to: 4 };
/** This near the boil it is on the boil. */
const BOILS_WITHIN_K = 1.5;
/** Three readings within this of each other: hardly anything more comes out of the bones, °Bx. Our estimate. */
const PLATEAU_BX = 0.15;

/** A simmer that boils, and one that has given what it has. */
function simmerWatch({ readings }: StepProgress, holdC: number, boilsC: number): Warning[] {
  const found: Warning[] = [];
  const probe = readings.findLast(r => r.kind === "probed" && r.where === "pot")?.temperatureC;
  if (probe !== undefined && holdC < boilsC - BOILS_WITHIN_K && probe > boilsC - BOILS_WITHIN_K)
    found.push({
      code: "BOILS",
      message: `${printNumber(probe, 1)} °C is on the boil here: it clouds. Turn down to ${printNumber(boilsC - BAND_K.from)}–${printNumber(boilsC - BAND_K.to)} °C.`,
    });
  const brix = readings.flatMap(r => (r.what === "brix" && r.value !== undefined ? [r.value] : [])).slice(-3);
  if (brix.length === 3 && Math.max(...brix) - Math.min(...brix) <= PLATEAU_BX)
    found.push({
      code: "PLATEAU",
      message: `${brix.map(b => printNumber(b, 1)).join(", ")} °Bx: hardly anything more comes. It can be strained.`,
    });
  return found;
}

/** Held under this it is not hot, °C; after so long in all it goes. Source: hot-holding guidance, 57–63 °C by code; from memory. */
const HOT_C = 60;
const GIVEN_MIN = 120;
const BACK_TO_C = 75;

/** What is held for service and has been read too cool: back, or away. */
function holdWatch({ readings, begunAt }: StepProgress, holdC: number, nowMs: number): Warning[] {
  const probes = readings.filter(r => r.kind === "probed" && r.where === "pot");
  const last = probes.at(-1);
  // Held on purpose below it is under the clock from the start; the step says so itself.
  if (holdC < HOT_C || last?.temperatureC === undefined || last.temperatureC >= HOT_C) return [];
  const hot = probes.findLast(r => (r.temperatureC ?? 0) >= HOT_C)?.at ?? begunAt ?? last.at;
  const min = (nowMs - hot) / 60_000;
  return [
    {
      code: "HELD_COLD",
      message: `${printNumber(last.temperatureC, 1)} °C is under ${HOT_C} °C, and nobody has read it hot for ${printDuration(s(60 * Math.round(min)))}. ${
        min >= GIVEN_MIN
          ? "Throw it away."
          : `Heat it to ${BACK_TO_C} °C now, once, and find out why it fell; after ${GIVEN_MIN / 60} h throw it away.`
      } Your food code decides.`,
    },
  ];
}

/** The pot of the step at work with as much liquor as is in it now. */
function nowIn(pot: PotState, massG: number | null): PotState {
  const gone = massG === null ? 0 : potMass(pot) - massG;
  const water = Math.max(0, pot.liquor.water - gone);
  return { ...pot, liquor: { ...pot.liquor, water } };
}

/** @param nowMs by the common clock */
export function watchNow(
  progress: StepProgress,
  forecast: LiveForecast | null,
  kitchen: Kitchen,
  nowMs: number,
): Warning[] {
  const leg = progress.legs.at(-1);
  if (progress.status !== "live" || !leg || !forecast || leg.paused) return [];
  const found: Warning[] = [];
  const here = nowIn(leg.from, forecast.massNowG);
  const vessel = leg.foreseen.vessel ?? leg.vessel;
  const geometry = vessel && geometryOfVessel(vessel);
  const { fire } = leg.foreseen;
  if (fire && geometry) {
    const flame = heatIntoPan(
      { kind: fire.burner.kind, setting: fire.setting, overlap: 1 },
      geometry.baseDiameterMm,
      kitchen.facts,
    );
    const { liquor, natures } = here;
    const scorch =
      flame.ok &&
      scorchWarning(
        scorchOf(
          {
            starch: natures.starches.length ? 1 : 0,
            sugars: liquor.sugars,
            solids: filmSolids(liquor),
            mass: massOfPools(liquor),
            dairy: massOfPools(natures.milkDry) > 0,
          },
          leg.foreseen.temperatureC,
          flame.value / (Math.PI * (geometry.baseDiameterMm / 2000) ** 2),
        ),
      );
    if (scorch) found.push(scorch);
  }
  if (geometry && here.solids.length && progress.step.kind === "simmer") {
    const heap = geometry.levelClipped(bulkMl(heapsOf(here), kitchen.facts));
    const level = geometry.levelClipped(
      ml(volumeMlOf(here.liquor, here.temperatureC) + displacedIn(here, kitchen.facts)),
    );
    if (heap - level > BARE_MM)
      found.push({
        code: "BARE",
        message: `What is in it stands about ${printNumber(heap - level)} mm out of the liquor: top it up.`,
      });
  }
  if (progress.step.kind === "simmer")
    found.push(...simmerWatch(progress, progress.step.holdC, kitchen.boilsC));
  if (progress.step.kind === "hold") found.push(...holdWatch(progress, progress.step.holdC, nowMs));
  const covered = progress.turns.findLastIndex(turn => turn.words === "lid on");
  const since = progress.turns.slice(covered + 1);
  if (
    covered >= 0 &&
    progress.step.kind === "reduce" &&
    !since.some(turn => turn.words.startsWith("flame ") || turn.words.startsWith("lid "))
  )
    found.push({
      code: "LID_ON",
      message:
        "The lid is on and the flame as it was: it boils off just the same. Turn the flame down, or take the lid off.",
    });
  const fat = fatCapPct(here.floatFatG, potMass(here));
  if (SKIMS.includes(progress.step.kind) && fat >= FATTY_PCT && liquorMass(here) > 0)
    found.push({
      code: "FAT_CAP",
      message: `${printMass(g(here.floatFatG))} of fat float on it, ${printNumber(fat, 1)} %. Skimming leaves about ${LEFT_PCT.skim} %; chilled for ${CHILL_HOURS} hours and lifted, about ${LEFT_PCT.chill} %. Skim if it is served before that.`,
    });
  return found;
}

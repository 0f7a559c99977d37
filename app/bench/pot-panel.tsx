import {
  type FormulaDocument,
  type Kitchen,
  type StateAfterStep,
  type StepIntervals,
  type Walk,
  countsOn,
  kindOf,
  labelOf,
  misnamed,
  keepsDays,
  bodyAcross,
} from "~/core/formula";
import { memo } from "react";
import { Link } from "react-router";
import { ALLERGENS } from "~/core/things/larder";
import { printKilograms, printLength, printNumber, g } from "~/core/ground/quantity";
import { LACQUER, bandOf, setsOnSpoon } from "~/core/laws/texture";
import { type Vessel, geometryOfVessel } from "~/core/things/vessel";
import { bandText, daysText } from "../text/format";
import { Ask } from "../ui/ask";
import { SpoonPicture } from "../ui/body-scale";
import { lookOf } from "../ui/liquid";
import { type GhostLevel, PotSection, snugHeight } from "../ui/pot-section";

/** Fat on top is a little lighter than water, g/ml. */
const FAT_DENSITY = 0.9;

/** Floating fat as a layer over the free surface, mm. */
export function fatLayerMm(state: StateAfterStep): number {
  if (!state.vessel || state.levelMm === null) return 0;
  const surface = geometryOfVessel(state.vessel).surfaceMm2(state.levelMm);
  return (state.pot.floatFatG / FAT_DENSITY / surface) * 1000;
}

/** Earlier levels in the same vessel, each once. */
export function ghostLevels(states: readonly StateAfterStep[], upTo: number): GhostLevel[] {
  const now = states[upTo];
  if (!now?.vessel) return [];
  const ghosts: GhostLevel[] = [];
  for (let i = upTo - 1; i >= 0; i--) {
    const state = states[i];
    if (!state || state.vessel !== now.vessel || state.levelMm === null) break;
    if (
      ghosts
        .concat([{ levelMm: now.levelMm ?? 0, label: "" }])
        .every(ghost => Math.abs(ghost.levelMm - (state.levelMm ?? 0)) > 4)
    )
      ghosts.push({
        levelMm: state.levelMm,
        label: `${kindOf(state.step).label.toLowerCase().split(" ")[0]} ${printNumber(state.levelMm)}`,
      });
  }
  return ghosts;
}

export const vesselInWords = (vessel: Vessel): string => {
  const geometry = geometryOfVessel(vessel);
  const across =
    "rimLengthMm" in vessel.shape
      ? `${printNumber(vessel.shape.rimLengthMm / 10)} × ${printNumber(vessel.shape.rimWidthMm / 10)} cm`
      : `${printNumber(geometry.baseDiameterMm / 10)} cm`;
  return `${across} × ${printNumber(geometry.heightMm / 10)} cm · ${printNumber(geometry.capacityMl / 1000, geometry.capacityMl < 10_000 ? 1 : 0)} l · tare ${printKilograms(g(vessel.tareG))}`;
};

export interface PotPanelProps {
  walked: Walk;
  selected: string | null;
  kitchen: Kitchen;
  intervals: readonly StepIntervals[];
  document: FormulaDocument;
}

/** The pot to scale after the open step; without one, where it stands highest. */
export const PotPanel = memo(function PotPanel({
  walked,
  selected,
  intervals,
  document,
  kitchen,
}: PotPanelProps) {
  const open = walked.states.findIndex(state => state.step.id === selected);
  const highest = walked.states.reduce(
    (best, state, i) => ((state.levelMm ?? 0) >= (walked.states[best]?.levelMm ?? 0) ? i : best),
    0,
  );
  const index = open >= 0 ? open : highest;
  const state = walked.states[index];
  const label = labelOf(walked);
  const days = keepsDays(document, walked, kitchen.facts);
  const learned = countsOn(walked, kitchen);
  const wrongName = misnamed(document, walked);
  const across = state?.body ? bodyAcross(state.pot, state.body, kitchen.facts) : [];
  return (
    <aside
      aria-label="The pot"
      className="painted-apart border-rule bg-enamel/60 px-4 py-5 sm:px-6 xl:border-l"
    >
      {state?.vessel ? (
        <>
          <h2 className="text-lg">{state.vessel.name}</h2>
          <p className="text-sm text-faded">{vesselInWords(state.vessel)}</p>
          <PotSection
            className="mx-auto mt-2 w-full max-w-88"
            vessel={state.vessel}
            levelMm={state.levelMm}
            bulkMm={state.pot.solids.length ? (state.bulkLevelMm ?? (state.levelMm ?? 40) * 0.8) : 0}
            floatFatMm={fatLayerMm(state)}
            liquid={lookOf(state.pot.liquor)}
            ghosts={
              state.mark
                ? [{ levelMm: state.mark.startMm, label: `start ${printNumber(state.mark.startMm)}` }]
                : ghostLevels(walked.states, index)
            }
            mark={
              state.mark
                ? { levelMm: state.mark.markMm, label: `${printNumber(state.mark.markMm)} mm` }
                : state.levelMm === null
                  ? null
                  : { levelMm: state.levelMm, label: `${printNumber(state.levelMm)} mm` }
            }
            stick={state.vessel.use !== "tray"}
            width={352}
            height={snugHeight(state.vessel, 352, 318, 80)}
            gutter={80}
            title={`${state.vessel.name} in section after step ${index + 1}${state.levelMm === null ? "" : `: the liquor stands ${printNumber(state.levelMm)} mm high`}`}
          />
          <p className="mt-1 text-center text-sm">
            <strong>after step {index + 1}</strong>
            <span className="text-faded">
              {state.levelMm !== null &&
                ` · ${printNumber(geometryOfVessel(state.vessel).heightMm - state.levelMm)} mm to the rim`}
              {state.bulkLevelMm !== undefined &&
                state.pot.solids.length > 0 &&
                ` · solids ${printNumber(state.bulkLevelMm)} mm high`}
            </span>
          </p>
          {state.mark && (
            <p className="mt-2 text-center">
              dip-stick mark{" "}
              <Ask
                of={{ ask: "mark", step: index }}
                label={`Dip-stick mark ${printNumber(state.mark.markMm)} millimetres`}
                className="font-bold text-copper"
              >
                {printLength(state.mark.markMm)}
              </Ask>{" "}
              <span className="text-sm text-faded">{bandText(intervals[index]?.markMm, 1, 0)}</span>
            </p>
          )}
        </>
      ) : (
        <p className="text-faded">The pot is drawn here as soon as a step puts something into one.</p>
      )}
      {state?.body && (
        <div className="mt-4 flex items-center gap-4">
          <SpoonPicture body={state.body.thickness} liquid={lookOf(state.pot.liquor)} width={96} />
          <p className="text-sm">
            body{" "}
            <Ask
              of={{ ask: "figure", step: index, figure: "body" }}
              label={`Body ${printNumber(state.body.thickness)}`}
              className="font-display text-lg font-semibold"
            >
              {printNumber(state.body.thickness)}
            </Ask>{" "}
            <span className="text-faded">{bandText(intervals[index]?.figures.body, 1, 0)}</span>,{" "}
            {bandOf(state.body.thickness).name} at {printNumber(state.body.atC)}&nbsp;°C
            {across.length > 0 && (
              <span className="block text-faded">
                {across
                  .map(a => `${a.words} ${a.thickness === "sets" ? "it sets" : printNumber(a.thickness)}`)
                  .join(" · ")}
              </span>
            )}
            {state.body.body && setsOnSpoon(state.body.body) && (
              <span className="block text-faded">{LACQUER}</span>
            )}
            {state.body.warnings.map(w => (
              <span key={w.code + w.message} className="block text-saffron-ink">
                ▲ {w.message}
              </span>
            ))}
          </p>
        </div>
      )}
      <dl className="mt-5 divide-y divide-rule border-y border-rule text-sm">
        <Fact label="Allergens recorded">
          {label.known
            ? label.allergens.map(a => ALLERGENS[a]).join(", ") || "none recorded"
            : `not known: ${label.notEntered.join(", ")} not entered`}
        </Fact>
        <Fact label="Contains">{label.diet.join(", ") || "nothing flagged"}</Fact>
        {label.egg && <Fact label="For guests">{label.egg}</Fact>}
        <Fact label="Keeps">
          {days > 0
            ? `${daysText(days)} at ${document.storage.keepC} °C, proposed`
            : "not: for the day it is made, proposed"}
        </Fact>
      </dl>
      {wrongName && <p className="mt-3 rounded-md bg-beet-wash p-2 text-sm text-beet">✕ {wrongName}</p>}
      {learned.length > 0 && (
        <section aria-label="Counts on" className="mt-3 text-sm text-faded">
          Counts on what this kitchen has{" "}
          <Link to="/ledger/learned" className="underline underline-offset-4 hover:text-copper">
            learned
          </Link>
          : {learned.join("; ")}.
        </section>
      )}
      {document.notes && <p className="mt-3 text-sm text-faded">{document.notes}</p>}
    </aside>
  );
});

function Fact({ label, children }: { label: string; children: React.ReactNode }) {
  return (
    <div className="flex justify-between gap-4 py-2">
      <dt className="text-faded">{label}</dt>
      <dd className="text-right font-semibold">{children}</dd>
    </div>
  );
}

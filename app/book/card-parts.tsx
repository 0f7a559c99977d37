import { type StateAfterStep, type StepIntervals, kindOf, cautionsAt } from "~/core/formula";
import { type Display, massFor } from "~/core/things/house";
import { densityOf } from "~/core/things/larder";
import { g, printDuration, printLength, printMass, printNumber, s } from "~/core/ground/quantity";
import { grossTarget } from "~/core/things/vessel";
import { vesselInWords } from "../bench/pot-panel";
import { bandText, durationBandText, gramsBand } from "../text/format";
import { lookOf } from "../ui/liquid";
import { PotSection, snugHeight } from "../ui/pot-section";

const bracketed = (text: string): string => text && `(${text})`;

/** A key figure of the card with its band. */
export function Figure({
  label,
  band,
  children,
}: {
  label: string;
  band?: string;
  children: React.ReactNode;
}) {
  return (
    <div>
      <dt className="text-xs text-faded">{label}</dt>
      <dd className="font-display text-xl font-semibold whitespace-nowrap">{children}</dd>
      {band && <dd className="text-xs text-faded">{band}</dd>}
    </div>
  );
}

/** One step as a cook reads it at the stove. */
export function CardStep({
  state,
  index,
  interval,
  display,
  relation,
}: {
  display: Display;
  state: StateAfterStep;
  interval: StepIntervals | undefined;
  index: number;
  relation: (lineId: string) => string;
}) {
  const kind = kindOf(state.step);
  return (
    <li className="keep grid grid-cols-[1.75rem_minmax(0,1fr)] gap-x-2 border-b border-rule py-2.5 sm:grid-cols-[1.75rem_minmax(0,1fr)_17rem] print:grid-cols-[1.75rem_minmax(0,1fr)_17rem]">
      <span className="font-display font-semibold text-faded">{index + 1}</span>
      <div>
        <p>
          <strong>
            {kind.title(
              state.step,
              state.lines.map(l => l.name),
            )}
          </strong>{" "}
          {kind.detail(state.step)}
        </p>
        {state.step.remark && <p className="italic">{state.step.remark}</p>}
        <p className="text-sm text-faded">
          {(state.step.cue ?? kind.cue) && `until: ${state.step.cue ?? kind.cue} · `}about{" "}
          {printDuration(s(state.durationS))} {bracketed(durationBandText(interval?.durationS))}
          {state.mark && state.vessel && (
            <strong className="text-ink">
              {" "}
              · stop at {printLength(state.mark.markMm)} {bracketed(bandText(interval?.markMm, 1, 0))} on the
              stick, or {printMass(grossTarget(g(state.vessel.tareG), state.massG))} on the scale with{" "}
              {state.vessel.name}
            </strong>
          )}
        </p>
        {cautionsAt(state).map(caution => (
          <p key={caution} className="text-sm text-saffron-ink">
            ▲ {caution}
          </p>
        ))}
      </div>
      <dl className="col-start-2 text-sm sm:col-start-auto print:col-start-auto">
        {state.lines.map(line => (
          <div key={line.lineId} className="flex items-baseline justify-between gap-3">
            <dt>
              {line.name}
              <span className="block text-xs text-faded">
                {relation(line.lineId)}
                {line.purchasedG - line.massG > 0.5 && `, from ${massFor(display, line.purchasedG)} bought`}
              </span>
            </dt>
            <dd className={`font-bold whitespace-nowrap ${line.certainty === "assumed" ? "is-assumed" : ""}`}>
              {massFor(display, line.massG, densityIn(state, line.lineId))}
              {line.certainty === "assumed" && " (assumed)"}
            </dd>
          </div>
        ))}
        {state.computed
          .filter(c => c.way === "in")
          .map(computed => (
            <div key={computed.what} className="flex items-baseline justify-between gap-3">
              <dt>
                {computed.what}, about
                <span className="block text-xs text-faded">
                  {gramsBand(interval?.computedG[computed.what])}
                </span>
              </dt>
              <dd className="font-bold whitespace-nowrap">{massFor(display, computed.massG)}</dd>
            </div>
          ))}
      </dl>
    </li>
  );
}

const densityIn = (state: StateAfterStep, lineId: string) => {
  const ingredient = state.sources.get(lineId);
  return ingredient && densityOf(ingredient);
};

/** A pot to scale with its mark. */
export function Mark({ state, index }: { state: StateAfterStep; index: number }) {
  const { vessel, mark } = state;
  if (!vessel) return null;
  const level = mark?.markMm ?? state.levelMm;
  return (
    <figure className="keep">
      <PotSection
        className="w-full"
        vessel={vessel}
        levelMm={mark ? mark.startMm : state.levelMm}
        bulkMm={state.pot.solids.length ? (state.bulkLevelMm ?? 0) : 0}
        liquid={lookOf(state.pot.liquor)}
        mark={level === null ? null : { levelMm: level, label: `${printNumber(level)} mm` }}
        stick
        width={250}
        height={snugHeight(vessel, 250, 170, 70)}
        gutter={70}
        title={`Step ${index + 1}: ${vessel.name}, mark at ${printNumber(level ?? 0)} mm`}
      />
      <figcaption className="text-center text-sm">
        <strong>step {index + 1}</strong> · {vessel.name}
        <span className="block text-xs text-faded">{vesselInWords(vessel)}</span>
      </figcaption>
    </figure>
  );
}

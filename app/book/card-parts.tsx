import type { CardMark, CardStep as Step } from "~/core/standard";
import { type Display, massFor, textFor } from "~/core/things/house";
import { mm, printDuration, printLength, printNumber } from "~/core/ground/quantity";
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
  step,
  index,
  display,
  reasons = false,
}: {
  step: Step;
  index: number;
  display: Display;
  /** Whether it says why, for who learns it. */
  reasons?: boolean;
}) {
  const { interval, stop } = step;
  const say = (text: string) => textFor(display, text);
  return (
    <li className="keep grid grid-cols-[1.75rem_minmax(0,1fr)] gap-x-2 border-b border-rule py-2.5 sm:grid-cols-[1.75rem_minmax(0,1fr)_17rem] print:grid-cols-[1.75rem_minmax(0,1fr)_17rem]">
      <span className="font-display font-semibold text-faded">{index + 1}</span>
      <div>
        <p>
          <strong>{say(step.title)}</strong> {say(step.detail)}
        </p>
        {step.remark && <p className="italic">{say(step.remark)}</p>}
        <p className="text-sm text-faded">
          {step.cue && `until: ${say(step.cue)} · `}
          {step.durationS !== null &&
            `about ${printDuration(step.durationS)} ${bracketed(durationBandText(interval?.durationS))}`}
          {stop && (
            <strong className="text-ink">
              {" "}
              · stop at {printLength(mm(stop.markMm))} {bracketed(bandText(interval?.markMm, 1, 0))} on the
              stick, or {massFor(display, stop.grossG)} on the scale with {stop.vesselName}
            </strong>
          )}
        </p>
        {reasons && step.why && <p className="text-sm text-sorrel">Why: {say(step.why)}</p>}
        {step.cautions.map(caution => (
          <p key={caution} className="text-sm text-saffron-ink">
            ▲ {say(caution)}
          </p>
        ))}
      </div>
      <dl className="col-start-2 text-sm sm:col-start-auto print:col-start-auto">
        {step.lines.map(line => (
          <div key={line.lineId} className="flex items-baseline justify-between gap-3">
            <dt>
              {line.name}
              <span className="block text-xs text-faded">
                {line.relation}
                {line.purchasedG !== undefined && `, from ${massFor(display, line.purchasedG)} bought`}
              </span>
            </dt>
            <dd className={`font-bold whitespace-nowrap ${line.assumed ? "is-assumed" : ""}`}>
              {massFor(display, line.massG, line.densityGPerMl)}
              {line.assumed && " (assumed)"}
              {line.firstG !== undefined && (
                <span className="block text-right text-xs font-normal text-faded">
                  {massFor(display, line.firstG, line.densityGPerMl)} first, then taste
                </span>
              )}
            </dd>
          </div>
        ))}
        {step.goesIn.map(computed => (
          <div key={computed.what} className="flex items-baseline justify-between gap-3">
            <dt>
              {computed.what}, about
              <span className="block text-xs text-faded">
                {say(gramsBand(interval?.computedG[computed.what]))}
              </span>
            </dt>
            <dd className="font-bold whitespace-nowrap">{massFor(display, computed.massG)}</dd>
          </div>
        ))}
      </dl>
    </li>
  );
}

/** A pot to scale with its mark. */
export function Mark({ step, vessel, mark, levelMm, bulkMm, liquor }: CardMark) {
  const level = mark?.markMm ?? levelMm;
  return (
    <figure className="keep">
      <PotSection
        className="w-full"
        vessel={vessel}
        levelMm={mark ? mark.startMm : levelMm}
        bulkMm={bulkMm}
        liquid={lookOf(liquor)}
        mark={level === null ? null : { levelMm: level, label: `${printNumber(level)} mm` }}
        stick
        width={250}
        height={snugHeight(vessel, 250, 170, 84)}
        gutter={84}
        title={`Step ${step}: ${vessel.name}, mark at ${printNumber(level ?? 0)} mm`}
      />
      <figcaption className="text-center text-sm">
        <strong>step {step}</strong> · {vessel.name}
        <span className="block text-xs text-faded">{vesselInWords(vessel)}</span>
      </figcaption>
    </figure>
  );
}

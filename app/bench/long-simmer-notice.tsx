import { longSimmer, meansLongSimmer } from "~/core/families";
import { type Step, updateStep } from "~/core/formula";
import { printDuration, minutes } from "~/core/ground/quantity";
import type { Editing } from "./use-formula";

/** A simmer longer than this kind of stock takes asks whether it is meant. */
export function LongSimmerNotice({ step, formula }: { step: Step; formula: Editing }) {
  const long = longSimmer(formula.document);
  if (long?.stepId !== step.id || step.kind !== "simmer") return null;
  const atMost = Math.max(1, step.durationMin - (long.minutes - long.atMostMin));
  const link = "whitespace-nowrap underline underline-offset-4";
  return (
    <p className="flex flex-wrap items-baseline gap-x-4 rounded-md bg-saffron-wash px-2 py-1.5 text-sm text-saffron-ink">
      <span className="grow">
        ▲ {printDuration(minutes(long.minutes))} of simmering: {long.familyName.toLowerCase()} is done after{" "}
        {printDuration(minutes(long.atMostMin))}; longer it loses more than it gains. Is it meant?
      </span>
      <button
        type="button"
        className={link}
        onClick={() => formula.edit(d => updateStep(d, step.id, { durationMin: atMost }))}
      >
        Back to {printDuration(minutes(atMost))}
      </button>
      <button type="button" className={link} onClick={() => formula.edit(meansLongSimmer)}>
        It is meant
      </button>
    </p>
  );
}

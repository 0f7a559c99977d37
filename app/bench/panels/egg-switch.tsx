import { useId } from "react";
import { rawEggCaution } from "~/core/laws/emulsion";
import { EGG_LABEL, type Kitchen, type Walk, eggIn, keepsDays, takeEgg } from "~/core/formula";
import { daysText } from "../../text/format";
import type { Formula } from "../use-formula";

/** Fresh egg or pasteurised: which goes in, what guests are told, how long it keeps, and the caution with it. */
export function EggSwitch({
  formula,
  kitchen,
  walked,
  pH,
}: {
  formula: Formula;
  kitchen: Kitchen;
  walked: Walk;
  /** Measured on the sauce; an estimate says nothing here. */
  pH: number | null;
}) {
  const name = useId();
  const egg = eggIn(walked);
  if (!egg) return null;
  const { document } = formula;
  // The walk follows a moment later: the switch itself shows what the lines say now.
  const all = {
    raw: takeEgg(document, "raw", kitchen.ingredientById),
    pasteurised: takeEgg(document, "pasteurised", kitchen.ingredientById),
  };
  const is = all.pasteurised.ok ? "raw" : all.raw.ok || egg === "pasteurised" ? "pasteurised" : "raw";
  const other = all[is === "raw" ? "pasteurised" : "raw"];
  const days = keepsDays(document, walked, kitchen.facts);
  return (
    <fieldset className="space-y-2">
      <legend className="font-semibold">Egg</legend>
      <div className="flex gap-4">
        {(["raw", "pasteurised"] as const).map(kind => (
          <label key={kind} className="flex min-h-9 items-center gap-2">
            <input
              type="radio"
              name={name}
              className="size-4 accent-copper"
              checked={is === kind}
              disabled={is !== kind && !other.ok}
              onChange={() =>
                formula.edit(d => {
                  const taken = takeEgg(d, kind, kitchen.ingredientById);
                  return taken.ok ? taken.value : d;
                })
              }
            />
            {kind}
          </label>
        ))}
      </div>
      {!other.ok && <p className="text-faded">{other.problems[0]?.message}</p>}
      <p className={egg === "raw" ? "rounded-md bg-saffron-wash p-2 text-saffron-ink" : "text-faded"}>
        {egg === "raw" && `▲ ${rawEggCaution(pH ?? undefined)} `}
        The label says “{EGG_LABEL[egg]}”;{" "}
        {days > 0 ? `kept ${daysText(days)} at most, or as your local code says.` : "not kept."}
      </p>
    </fieldset>
  );
}

import { useState } from "react";
import { BITTER_FROM_PCT, flavouredPct, oilBlend } from "~/core/laws/emulsion";
import { g, printMass, printNumber } from "~/core/ground/quantity";
import { readWithin } from "../../ui/read";
import { TypedField } from "../../ui/typed-field";

/** How much of the oil may taste of something: what is on the line, and the same oil as a blend. */
export function OilBlend({
  oils,
  blade,
}: {
  oils: readonly { readonly neutral: boolean; readonly massG: number }[];
  blade: boolean;
}) {
  const [neutralPct, setNeutralPct] = useState(85);
  const all = oils.reduce((m, o) => m + o.massG, 0);
  const has = flavouredPct(oils);
  const blend = oilBlend(all, neutralPct);
  return (
    <div role="group" aria-label="Taste of the oil">
      <h3 className="font-semibold">Taste of the oil</h3>
      <p className={blade && has > BITTER_FROM_PCT ? "text-saffron-ink" : ""}>
        {printNumber(has)} % of it has a taste of its own
        {has > BITTER_FROM_PCT &&
          (blade
            ? `; ▲ more than ${BITTER_FROM_PCT} % turns bitter under a blade`
            : `; by whisk it may, under a blade ${BITTER_FROM_PCT} % is the most`)}
        .
      </p>
      <div className="mt-1 flex items-end gap-3">
        <TypedField
          label="neutral part"
          shown={`${printNumber(neutralPct)} %`}
          read={readWithin("The neutral oil", "%", 0, 100)}
          onRead={setNeutralPct}
          width="w-20"
        />
        <p className="pb-1.5">
          <strong>{printMass(g(blend.neutralG))}</strong> neutral,{" "}
          <strong>{printMass(g(blend.flavouredG))}</strong> with taste
        </p>
      </div>
    </div>
  );
}

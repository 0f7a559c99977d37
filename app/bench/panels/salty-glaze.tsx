import { useState } from "react";
import { g, printMass, printNumber } from "~/core/ground/quantity";
import { condimentGlaze } from "~/core/laws/seasoning";
import { readMass, readWithin } from "../../ui/read";
import { TypedField } from "../../ui/typed-field";

/** A salty condiment boiled down keeps all its salt: what a serving of the glaze holds. */
export function SaltyGlaze() {
  const [glaze, setGlaze] = useState({ condimentG: 120, saltPct: 15, restG: 120, endG: 170, servingG: 12 });
  const found = condimentGlaze(
    [
      { massG: glaze.condimentG, saltPct: glaze.saltPct },
      { massG: glaze.restG, saltPct: 0 },
    ],
    glaze.endG,
    glaze.servingG,
  );
  const mass = (label: string, key: "condimentG" | "restG" | "endG" | "servingG") => (
    <TypedField
      label={label}
      shown={printMass(g(glaze[key]))}
      read={readMass("It")}
      onRead={massG => setGlaze({ ...glaze, [key]: massG })}
      width="w-20"
    />
  );
  return (
    <div role="group" aria-label="A salty condiment, boiled down">
      <h3 className="font-semibold">A salty condiment, boiled down</h3>
      <div className="mt-1 flex flex-wrap gap-3">
        {mass("condiment", "condimentG")}
        <TypedField
          label="salt in it"
          shown={`${printNumber(glaze.saltPct, 1)} %`}
          read={readWithin("Its salt", "%", 0, 100)}
          onRead={saltPct => setGlaze({ ...glaze, saltPct })}
          width="w-20"
        />
        {mass("and unsalted", "restG")}
        {mass("down to", "endG")}
        {mass("a serving", "servingG")}
      </div>
      {found.ok ? (
        <p className={found.warnings.length ? "mt-1 text-saffron-ink" : "mt-1"}>
          {found.warnings[0]
            ? `▲ ${found.warnings[0].message}`
            : `${printNumber(found.value.saltPct, 1)} % salt: ${printNumber(found.value.perServingG, 2)} g in one serving.`}
        </p>
      ) : (
        <p role="alert" className="mt-1 text-beet">
          ✕ {found.problems[0]?.message}
        </p>
      )}
    </div>
  );
}

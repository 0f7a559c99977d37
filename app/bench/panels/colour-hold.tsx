import { BLANCH_WATER, GREEN_ENOUGH, PALE_LEMON_G_PER_KG, colourOf, greenIndex } from "~/core/laws/puree";
import type { FactValues } from "~/core/ground/facts";
import { g, printMass, printNumber } from "~/core/ground/quantity";

/** How green stays green and pale stays pale. */
export function ColourHold({ name, massG, facts }: { name: string; massG: number; facts: FactValues }) {
  const colour = colourOf(name);
  const kept = greenIndex(80, 6, 10, facts);
  return (
    <div>
      <h3 className="font-semibold">Colour</h3>
      {colour.kind === "green" ? (
        <p className="mt-1">
          {colour.seconds[0]}–{colour.seconds[1]} s in {printMass(g(massG * BLANCH_WATER.times))} boiling
          water with {BLANCH_WATER.saltGPerL} g salt a litre, then as much ice. Ten minutes at 80 °C leave{" "}
          {printNumber(100 * kept)} % of the green
          {kept < GREEN_ENOUGH ? ": keep it cold, warm it late" : ""}; acid at the last moment.
        </p>
      ) : colour.kind === "stays" ? (
        <p className="mt-1">Its colour stays: orange and red stand the heat; only long boiling dulls them.</p>
      ) : (
        <p className="mt-1">
          Pale ones: {printMass(g((massG / 1000) * PALE_LEMON_G_PER_KG))} lemon juice in the water; short
          heat, covered.
        </p>
      )}
    </div>
  );
}

import type { LittleLeft } from "~/core/families";
import { printNumber } from "~/core/ground/quantity";
import type { Editing } from "./use-formula";

/** A line that boils nearly everything away says so before anybody cooks it, with what keeps more of it. */
export function LittleLeftNotice({ little, formula }: { little: LittleLeft; formula: Editing }) {
  const link = "whitespace-nowrap underline underline-offset-4";
  return (
    <p
      role="alert"
      className="mx-4 mb-3 flex flex-wrap items-baseline gap-x-4 gap-y-1 rounded-md border border-beet px-3 py-2 text-sm text-beet sm:mx-5"
    >
      <span className="grow basis-80">
        ✕ Almost nothing is left: {printNumber(little.givesPct, little.givesPct < 10 ? 1 : 0)} % of the base,
        where it gives {printNumber(little.leastPct)} % and more. It boils away
        {little.ways.length > 0 ? ": keep it covered, take a narrower pot, or put a lid on." : "."}
      </span>
      {little.ways.map(way => (
        <button key={way.label} type="button" className={link} onClick={() => formula.edit(way.edit)}>
          {way.label}
        </button>
      ))}
    </p>
  );
}

import { useState } from "react";
import { g, printMass, printNumber } from "~/core/ground/quantity";
import { SET_BANDS, SET_WORDS, type SetBand, setBand, setsFrom } from "~/core/laws/stock";
import { LEAF_G, agarForSet, leafForSet } from "~/core/laws/thickening";
import { Choice } from "../../ui/choice";
import { readWithin } from "../../ui/read";
import { TypedField } from "../../ui/typed-field";

const WISHES = SET_BANDS.filter(band => band !== "liquid" && band !== "rubbery");

/** How it stands cold, and the gelatin or agar that makes it set. */
export function ColdSet({ volumeMl, gelatinPct }: { volumeMl: number; gelatinPct: number }) {
  const [wish, setWish] = useState<SetBand>("trembling");
  const [bloomG, setBloom] = useState(200);
  const now = setBand(gelatinPct);
  const addG = leafForSet(volumeMl, Math.max(0, setsFrom(wish) - gelatinPct), bloomG);
  const agar = agarForSet(volumeMl);
  return (
    <div role="group" aria-label="Set cold">
      <h3 className="font-semibold">Set cold</h3>
      <p className="mt-1">
        {printNumber(gelatinPct, 1)} % gelatin: {now === "liquid" ? "" : `${now}, `}
        {SET_WORDS[now]}.
      </p>
      <div className="mt-1 flex flex-wrap items-end gap-3">
        <Choice
          label="it shall be"
          value={wish}
          onPick={setWish}
          options={WISHES.map(band => [band, band] as const)}
        />
        <TypedField
          label="Bloom of the leaf"
          shown={printNumber(bloomG)}
          read={readWithin("The Bloom", "", 80, 300)}
          onRead={setBloom}
          width="w-20"
        />
      </div>
      <p className="mt-1">
        {addG > 0.05 ? (
          <>
            <strong>{printMass(g(addG))}</strong> gelatin, {printNumber(addG / LEAF_G, 1)} leaves of {LEAF_G}
            {"\u00a0"}g or as much powder: soaked cold, into it below 60 °C, never boiled.
          </>
        ) : (
          "It has gelatin enough for that."
        )}
      </p>
      <p className="mt-1 text-faded">
        Without gelatin: {printMass(g(agar[0]))} to {printMass(g(agar[1]))} agar, boiled two minutes; it sets
        but gives no body while hot. Both from memory: try a spoonful on a cold plate.
      </p>
    </div>
  );
}

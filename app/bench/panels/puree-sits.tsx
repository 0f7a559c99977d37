import type { Kitchen } from "~/core/formula";
import {
  type PureeVegetable,
  SIEVE_USE,
  type Sieve,
  asSauce,
  blenderLoads,
  liquidForPuree,
  type pureeBalance,
} from "~/core/laws/puree";
import { g, ml, printMass, printNumber, printVolume } from "~/core/ground/quantity";
import { bandOf, bodyOf, standardLiquid } from "~/core/laws/texture";
import { BodyScale } from "../../ui/body-scale";

export const MOISTENS = ["water", "milk", "cream"] as const;
export type Moisten = (typeof MOISTENS)[number];
const PUREE_AT_C = 60;

/** How a purée sits after its butter, and what brings it where it should be. */
export function PureeSits({
  balance,
  v,
  sieve,
  want,
  onWant,
  liquid,
  butterG,
  floury,
  kitchen,
  jarMl,
  jarName,
  portionG,
}: {
  balance: Extract<ReturnType<typeof pureeBalance>, { ok: true }>["value"];
  v: PureeVegetable;
  sieve: Sieve;
  want: number;
  onWant: (body: number) => void;
  liquid: Moisten;
  butterG: number;
  floury: boolean;
  kitchen: Kitchen;
  jarMl: number;
  jarName: string;
  portionG: number;
}) {
  const driedG = floury ? kitchen.facts.potatoDries * balance.cookedG : 0;
  const plain = asSauce(balance.pureeG - driedG, balance.solidsG, floury ? 0.8 : 1);
  const buttered = { ...plain, ...withButter(plain, butterG) };
  const body = bodyOf(buttered, PUREE_AT_C, kitchen.facts);
  const found = liquidForPuree(buttered, standardLiquid(liquid, 1), want, PUREE_AT_C, kitchen.facts);
  const addG = found.ok ? found.value.addG : 0;
  const finishedG = balance.pureeG - driedG + butterG + addG - (found.ok ? found.value.evaporateG : 0);
  const loads = blenderLoads(Math.max(1, finishedG / 1.03), jarMl, 85);
  const [first, rest] = [(butterG + addG) / 2, (butterG + addG) / 2];
  return (
    <div className="grid gap-x-10 gap-y-5 lg:grid-cols-[20rem_1fr]">
      <dl className="divide-y divide-rule border-y border-rule text-sm">
        <Row
          label="trimmed"
          value={printMass(g(balance.trimmedG))}
          note={`${printNumber(100 * v.peelYield)} % left`}
        />
        <Row
          label={`cooked, ${v.method}`}
          value={printMass(g(balance.cookedG))}
          note={`${printNumber((100 * balance.cookedG) / balance.trimmedG)} %`}
        />
        <Row label="purée" value={printMass(g(balance.pureeG))} note={SIEVE_USE[sieve]} />
        {driedG > 0 && (
          <Row
            label="dried off, stop at"
            value={printMass(g(balance.pureeG - driedG))}
            note={`${printMass(g(driedG))} steam`}
          />
        )}
        <Row
          label="what makes it stand"
          value={`${printNumber(balance.perKg, 1)} g/kg`}
          note="fibre, swollen starch"
        />
        <Row
          label="finished"
          value={printMass(g(finishedG))}
          note={`${printNumber(Math.floor(finishedG / portionG))} portions of ${printMass(g(portionG))}`}
        />
      </dl>
      <div className="space-y-3">
        {body.ok && (
          <BodyScale
            now={body.value.thickness}
            lo={Math.max(0, body.value.thickness - 11.5)}
            hi={Math.min(100, body.value.thickness + 11.5)}
            want={want}
            onWant={onWant}
          />
        )}
        <p>
          {found.ok ? (
            found.value.addG > 0 ? (
              <>
                For body {want} ({bandOf(want).name}): <strong>{printMass(g(found.value.addG))}</strong>{" "}
                {liquid}, warm.
              </>
            ) : (
              <>
                For body {want}: <strong>{printMass(g(found.value.evaporateG))}</strong> must dry off.
              </>
            )
          ) : (
            <span className="text-saffron-ink">▲ {found.problems[0]?.message}</span>
          )}
        </p>
        <p className="text-sm">
          Enrich in two doses: {printMass(g(first))} first, the rest ({printMass(g(rest))}) to texture; fat
          before liquid.
        </p>
        {loads.ok && !floury && (
          <p className="text-sm">
            {jarName}: {loads.value.loads} loads of {printVolume(ml(loads.value.perLoadMl))},{" "}
            {printNumber(100 * loads.value.fill)} % full.{" "}
            <span className="text-saffron-ink">
              ▲ Hot liquid lifts the lid: a third full, vent capped with a folded cloth, start slow.
            </span>
          </p>
        )}
      </div>
    </div>
  );
}

const withButter = (s: ReturnType<typeof asSauce>, butterG: number) => {
  const b = standardLiquid("butter", butterG);
  return { waterG: s.waterG + b.waterG, fatG: s.fatG + b.fatG, milkSolidsG: s.milkSolidsG + b.milkSolidsG };
};

function Row({ label, value, note }: { label: string; value: string; note: string }) {
  return (
    <div className="flex justify-between gap-3 py-1.5">
      <dt>
        {label} <span className="text-faded">{note}</span>
      </dt>
      <dd className="font-semibold whitespace-nowrap">{value}</dd>
    </div>
  );
}

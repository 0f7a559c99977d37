import { Link } from "react-router";
import { useMemo } from "react";
import { type KitchenData, basisFrom } from "~/core/formula";
import { betweenTimes } from "../text/format";
import type { LiveRun } from "../range/live-run.server";
import { type PotNow, foldPot, potAt } from "../range/pot-now";
import { PotSection } from "../ui/pot-section";

/** Another live pot as a small section, in hob order. Late is a word. */
export function OtherPot({
  live,
  today,
  now,
}: {
  live: LiveRun;
  /** The kitchen of today, from which its own differs. */
  today: Omit<KitchenData, "formulas">;
  now: number;
}) {
  const kitchen = useMemo(() => basisFrom(live.basis, today), [live.basis, today]);
  const folded = useMemo(() => foldPot(live, kitchen), [live, kitchen]);
  return <MiniPot pot={potAt(folded, now)} now={now} timeZone={kitchen.timeZone} />;
}

/** A pot as a small section with its name and the time it needs. */
export function MiniPot({ pot, now, timeZone }: { pot: PotNow; now: number; timeZone: string }) {
  const left = pot.forecast
    ? `${pot.forecast.late ? "late, " : ""}${betweenTimes(pot.forecast, now, timeZone)}`
    : "waits";
  return (
    <Link
      to={pot.to}
      className="flex min-h-14 items-center gap-2 rounded-lg px-2 whitespace-nowrap hover:text-ember"
    >
      {pot.vessel && (
        <PotSection
          vessel={pot.vessel}
          levelMm={pot.nowMm}
          mark={pot.markMm === null ? null : { levelMm: pot.markMm, label: "" }}
          liquid={pot.liquid}
          width={56}
          height={52}
          gutter={6}
          night
          bare
          title={pot.vessel.name}
        />
      )}
      <span className="text-sm leading-tight">
        <span className="block font-bold max-sm:hidden">{pot.name}</span>
        <span className="text-lamp-faded">{left}</span>
      </span>
    </Link>
  );
}

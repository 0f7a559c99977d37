import { printNumber } from "../ground/quantity";
import { LEAST_FOR_CAPABILITY } from "./capability";
import { CHARTED, type ChartedId } from "./figures";
import type { Series } from "./series";

/** What a chart says, in a cook’s words; what cannot be said yet is said too. */
export function seriesInWords(series: Series, figure: ChartedId): string[] {
  const { label, unit, decimals } = CHARTED[figure];
  const num = (x: number): string => `${printNumber(x, decimals)}${unit ? ` ${unit}` : ""}`;
  const last = series.phases.at(-1);
  if (!last) return [`Nobody has measured its ${label} yet.`];
  const n = last.to - last.from + 1;
  const { chart } = last;
  const said: string[] = [];
  if (!chart || chart.stage === "plot only")
    said.push(`${batchesOf(n)} of version ${last.version}: five set first limits.`);
  else {
    const { upper, lower, stage, mean } = chart;
    said.push(
      `Version ${last.version} stands at ${num(mean)}; ordinary wobble reaches from ${num(lower ?? mean)} to ${num(upper ?? mean)}.`,
    );
    if (stage === "provisional")
      said.push(`Limits of ${batchesOf(n)} are provisional: from twelve on all rules are asked.`);
    if (chart.fromResolution) said.push("All batches read the same: the spread shown is that of the scale.");
    else if (chart.scaleDecides) said.push("It is read so coarsely that the scale decides, not the sauce.");
  }
  const { drift, capability } = series;
  if (drift?.drifting) {
    const way = drift.slope > 0 ? "climbs" : "falls";
    said.push(
      `It ${way} by ${printNumber(Math.abs(drift.slope), decimals + 1)}${unit ? ` ${unit}` : ""} a batch` +
        (drift.batchesToEdge === null
          ? "."
          : drift.batchesToEdge < 1
            ? ", and has left what is wanted."
            : `: about ${printNumber(Math.floor(drift.batchesToEdge))} more until it leaves what is wanted.`),
    );
  }
  if (capability)
    said.push(
      capability.verdict === "not shown as capable"
        ? `Whether it keeps to its band is not shown: at least ${printNumber(Math.max(0, capability.lower), 2)} of the 1.33 that make it sure.`
        : `It keeps to its band: ${capability.verdict}, at least ${printNumber(capability.lower, 2)}.`,
    );
  else if (series.band && n >= LEAST_FOR_CAPABILITY && !chart?.fromResolution)
    said.push("While a batch is out of the ordinary nothing is said of how well it keeps to its band.");
  if (series.unmeasured > 0) said.push(`In ${batchesOf(series.unmeasured)} nobody measured it.`);
  return said;
}

const batchesOf = (n: number): string => `${printNumber(n)} ${n === 1 ? "batch" : "batches"}`;

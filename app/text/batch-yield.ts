import { printNumber } from "~/core/ground/quantity";
import type { BatchYield } from "~/core/standard";

const NUMBERS = ["no", "one", "two", "three", "four", "five", "six", "seven"];

/** What batches have given, with how much that is worth. */
export function yieldWords({ n, meanMl, band, few }: BatchYield): string {
  const litres = (ml: number) => printNumber(ml / 1000, ml < 2000 ? 2 : 1);
  const within = band ? ` (${litres(band.loMl)}–${litres(band.hiMl)})` : "";
  const of = n === 1 ? "batch" : "batches";
  return `In its batches ${litres(meanMl)} l${within}: ${few ? `${NUMBERS[n] ?? n} ${of} only` : `${n} ${of}`}.`;
}

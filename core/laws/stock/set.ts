/** How a stock stands in the fridge after a night at 4 °C. */
export const SET_BANDS = ["liquid", "trembling", "soft", "firm", "rubbery"] as const;
export type SetBand = (typeof SET_BANDS)[number];

/** Upper end of each band, effective gelatin in per cent. Source: dessert-gelatin dosing, common practice, no source. */
const ENDS: readonly [number, SetBand][] = [
  [0.8, "liquid"],
  [1.5, "trembling"],
  [2.5, "soft"],
  [4, "firm"],
  [Infinity, "rubbery"],
];

export const SET_WORDS: Record<SetBand, string> = {
  liquid: "stays liquid",
  trembling: "loose, quivers, pours reluctantly",
  soft: "spoonable jelly",
  firm: "sliceable",
  rubbery: "glace-like, bouncy",
};

/**
 * Gelatin as if it were all of 200 Bloom, per cent: c·√(Bloom/200).
 * Source: gelatin makers' square-root rule, from memory.
 */
export const effectiveGelatinPct = (gelatinPct: number, bloomG: number): number =>
  gelatinPct * Math.sqrt(bloomG / 200);

/** Band of an effective gelatin content. @example setBand(2.3) // "soft" */
export const setBand = (effectivePct: number): SetBand =>
  ENDS.find(([end]) => effectivePct < end)?.[1] ?? "rubbery";

/** Least effective gelatin for a band, per cent. @example setsFrom("soft") // 1.5 */
export const setsFrom = (band: SetBand): number => ENDS[SET_BANDS.indexOf(band) - 1]?.[0] ?? 0;

/** Bloom of a blend: the mean weighted by the grams of gelatin; 0 without any. */
export function blendedBloom(parts: readonly { gelatinG: number; bloomG: number }[]): number {
  const all = parts.reduce((sum, part) => sum + part.gelatinG, 0);
  return all > 0 ? parts.reduce((sum, part) => sum + part.gelatinG * part.bloomG, 0) / all : 0;
}

/** "soft, perhaps firm": the band of the value, then those of its limits. */
export function setInWords(value: number, lo: number, hi: number | null): string {
  const own = setBand(value);
  const others = [...new Set([setBand(lo), setBand(hi ?? Infinity)])].filter(band => band !== own);
  return others.length ? `${own}, perhaps ${others.join(" or ")}` : own;
}

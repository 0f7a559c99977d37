/** Neutral and flavoured oil of a blend, g. @example 720 g, 85 % neutral → 612 and 108 g */
export const oilBlend = (oilG: number, neutralPct = 85) => ({
  neutralG: (oilG * neutralPct) / 100,
  flavouredG: (oilG * (100 - neutralPct)) / 100,
});
/** More flavoured oil than this turns an emulsion bitter under a blade, per cent. Common practice, no source. */
export const BITTER_FROM_PCT = 30;

/**
 * What of the oils has a taste of its own, per cent of all oil; 0 where there is none.
 * @param oils g. An oil nobody has marked as neutral counts as flavoured.
 */
export function flavouredPct(oils: readonly { readonly neutral: boolean; readonly massG: number }[]): number {
  const all = oils.reduce((m, o) => m + o.massG, 0);
  const flavoured = oils.reduce((m, o) => m + (o.neutral ? 0 : o.massG), 0);
  return all > 0 ? (100 * flavoured) / all : 0;
}

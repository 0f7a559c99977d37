/** Neutral and flavoured oil of a blend, g. @example 720 g, 85 % neutral → 612 and 108 g */
export const oilBlend = (oilG: number, neutralPct = 85) => ({
  neutralG: (oilG * neutralPct) / 100,
  flavouredG: (oilG * (100 - neutralPct)) / 100,
});
/** More flavoured oil than this turns an emulsion bitter under a blade, per cent. Common practice, no source. */
export const BITTER_FROM_PCT = 30;

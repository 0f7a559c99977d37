/** Papers a card is printed on. */
export const PAPERS = ["A4", "A5", "Letter"] as const;
export type Paper = (typeof PAPERS)[number];

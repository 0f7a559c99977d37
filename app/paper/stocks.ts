/** Sizes labels are sold in, by their measures: on sheets, or one after the other from a roll. */
export interface Stock {
  readonly id: string;
  readonly words: string;
  readonly widthMm: number;
  readonly heightMm: number;
  /** Where the first stands, and how far the next is, mm; absent: each label is a page of its own. */
  readonly sheet?: {
    readonly paper: "A4" | "Letter";
    readonly columns: number;
    readonly rows: number;
    readonly leftMm: number;
    readonly topMm: number;
    readonly stepXMm: number;
    readonly stepYMm: number;
  };
}

const sheetOf = (
  paper: "A4" | "Letter",
  columns: number,
  rows: number,
  leftMm: number,
  topMm: number,
  stepXMm: number,
  stepYMm: number,
) => ({ paper, columns, rows, leftMm, topMm, stepXMm, stepYMm });

/** Measures as the makers of such sheets print them; from memory. */
export const STOCKS: readonly Stock[] = [
  {
    id: "70x37",
    words: "70 × 37 mm, 24 on A4",
    widthMm: 70,
    heightMm: 37,
    sheet: sheetOf("A4", 3, 8, 0, 0.5, 70, 37),
  },
  {
    id: "99x38",
    words: "99 × 38 mm, 14 on A4",
    widthMm: 99.1,
    heightMm: 38.1,
    sheet: sheetOf("A4", 2, 7, 4.65, 15.15, 101.6, 38.1),
  },
  {
    id: "99x67",
    words: "99 × 67 mm, 8 on A4",
    widthMm: 99.1,
    heightMm: 67.7,
    sheet: sheetOf("A4", 2, 4, 4.65, 13.1, 101.6, 67.7),
  },
  {
    id: "102x51",
    words: "4 × 2 in, 10 on Letter",
    widthMm: 101.6,
    heightMm: 50.8,
    sheet: sheetOf("Letter", 2, 5, 3.97, 12.7, 104.78, 50.8),
  },
  { id: "62x40", words: "62 × 40 mm, single", widthMm: 62, heightMm: 40 },
  { id: "100x50", words: "100 × 50 mm, single", widthMm: 100, heightMm: 50 },
];

export const MOST_LABELS = 240;

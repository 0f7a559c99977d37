import { printNumber } from "~/core/ground/quantity";
import { type Result, ok, refuse } from "~/core/ground/result";
import type { ContainerLabel } from "~/core/standard";
import type { Code } from "./code.server";
import { FADED, INK, STOP, Sheet } from "./sheet.server";
import type { Stock } from "./stocks";

const POINTS_PER_MM = 72 / 25.4;
const pt = (mm: number): number => mm * POINTS_PER_MM;

/** Smaller than this nobody reads a label in a cold room, points. */
const LEAST_TYPE = 5.5;
const MOST_TYPE = 10;
const INSET_MM = 2.5;

const DAY = new Intl.DateTimeFormat("en-GB", {
  day: "numeric",
  month: "short",
  year: "numeric",
  timeZone: "UTC",
});
const dayInWords = (day: string): string => DAY.format(new Date(`${day}T00:00:00Z`));

interface Row {
  readonly text: string;
  /** As a share of the type. */
  readonly size: number;
  readonly face?: "display" | "bold" | "body";
  readonly colour?: string;
}

/** What a label says, the most needed first. */
function rowsOf(label: ContainerLabel, { kitchen, demo }: { kitchen: string; demo: boolean }): Row[] {
  const { letDown } = label;
  const rows: (Row | null)[] = [
    { text: label.name, size: 1.35, face: "display" },
    { text: `USE BY ${dayInWords(label.useBy)}`, size: 1.15, face: "bold" },
    { text: `made ${dayInWords(label.madeOn)} · ${label.lot}`, size: 1 },
    {
      text: `${label.kept === "frozen" ? "FROZEN" : "keep"} at ${label.keepC} °C${label.kept === "frozen" ? " or colder" : ""}. ${label.words}`,
      size: 0.9,
    },
    {
      text: label.allergens
        ? `Recorded allergens: ${label.allergens.join(", ") || "none in these ingredients"}`
        : `ALLERGENS NOT KNOWN: ${label.notEntered.join(", ")} not entered`,
      size: 1,
      face: "bold",
      colour: label.allergens ? INK : STOP,
    },
    label.guests ? { text: label.guests, size: 1, face: "bold", colour: STOP } : null,
    label.wrongName ? { text: label.wrongName, size: 0.9, colour: STOP } : null,
    ...label.houseTerms.map((text): Row => ({ text, size: 0.9 })),
    letDown
      ? {
          text: `×${printNumber(letDown.times, 1)}: 1 part + ${printNumber(letDown.waterParts, 1)} parts of water`,
          size: 1,
        }
      : null,
    { text: `${kitchen}${demo ? " · DEMO, invented" : ""} · ${label.why}`, size: 0.75, colour: FADED },
  ];
  return rows.filter(row => row !== null);
}

/** The largest type in which all of it fits; `null` where it does not, also in the smallest. */
function typeFor(sheet: Sheet, rows: readonly Row[], width: number, height: number): number | null {
  for (let type = MOST_TYPE; type >= LEAST_TYPE; type -= 0.25) {
    const high = rows.reduce(
      (sum, { text, size, face }) =>
        sum + sheet.heightOf(text, width, { size: size * type, face: face ?? "body" }),
      0,
    );
    if (high <= height) return type;
  }
  return null;
}

/** A label, so many times. */
export interface LabelRun {
  readonly label: ContainerLabel;
  readonly code: Code;
  readonly count: number;
}

/**
 * Labels one batch after the other, on sheets or one to a page.
 * @param skip places of the first sheet that are used already
 * @errors NOTHING_FITS what must stand there does not fit in type that can be read
 */
export async function labelsPaper(
  runs: readonly LabelRun[],
  title: string,
  of: {
    readonly stock: Stock;
    readonly skip: number;
    readonly kitchen: string;
    readonly demo: boolean;
  },
): Promise<Result<Buffer>> {
  const { stock, skip } = of;
  const { sheet: grid } = stock;
  const size = grid ? grid.paper : ([pt(stock.widthMm), pt(stock.heightMm)] as const);
  const sheet = new Sheet(size, title);
  const inset = pt(INSET_MM);
  const side = Math.min(pt(20), pt(stock.heightMm) * 0.45);
  const width = pt(stock.widthMm) - 2 * inset - side - pt(1.5);
  const set = runs.map(run => {
    const rows = rowsOf(run.label, of);
    return { ...run, rows, type: typeFor(sheet, rows, width, pt(stock.heightMm) - 2 * inset) };
  });
  const tooMuch = set.find(run => run.type === null);
  if (tooMuch)
    return refuse({
      code: "NOTHING_FITS",
      field: "stock",
      message: `All that must stand there for ${tooMuch.label.name} does not fit on ${stock.words} in type that can be read. Take a larger label.`,
    });
  const perSheet = grid ? grid.columns * grid.rows : 1;
  const each = set.flatMap(({ rows, type, code, count }) =>
    Array.from({ length: count }, () => ({ rows, code, type: type ?? LEAST_TYPE })),
  );
  each.forEach(({ rows, type, code }, i) => {
    const place = (grid ? skip : 0) + i;
    const on = place % perSheet;
    if (i > 0 && on === 0) sheet.nextPage();
    const x0 = grid ? pt(grid.leftMm + (on % grid.columns) * grid.stepXMm) : 0;
    const y0 = grid ? pt(grid.topMm + Math.floor(on / grid.columns) * grid.stepYMm) : 0;
    let y = y0 + inset;
    for (const { text, size: share, face, colour } of rows)
      y += sheet.at(text, x0 + inset, y, width, {
        size: share * type,
        face: face ?? "body",
        colour: colour ?? INK,
      });
    sheet.code(code, x0 + pt(stock.widthMm) - inset - side, y0 + inset, side);
  });
  return ok(await sheet.bare());
}

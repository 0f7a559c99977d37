import { type BatchYield, type Card, type CardStep, type Column } from "~/core/standard";
import { type Display, massFor, textFor } from "~/core/things/house";
import {
  g,
  mm,
  printDuration,
  printKilograms,
  printLength,
  printMass,
  printNumber,
  printVolume,
  s,
} from "~/core/ground/quantity";
import { bandText, dayOf, daysText, durationBandText } from "../text/format";
import { costInWords } from "../text/money";
import { yieldWords } from "../text/batch-yield";
import { nutritionWords } from "../text/nutrition";
import type { Code } from "./code.server";
import { FADED, INK, STOP, type Sheet, WARN } from "./sheet.server";

/** All that a card says on paper. */
export interface CardPrint {
  readonly card: Card;
  readonly columns: readonly Column[];
  readonly display: Display;
  readonly code: Code;
  readonly kitchen: string;
  readonly timeZone: string;
  readonly demo: boolean;
  readonly version: {
    readonly number: number;
    readonly state: string;
    readonly editedBy: string;
    readonly editedAt: Date;
  };
  readonly signed: { readonly by: string; readonly at: Date } | null;
  /** The version that is the standard, where it is another one. */
  readonly newer: number | null;
  readonly cost: {
    readonly currency: string;
    readonly foodCost: number;
    readonly perKg: number | null;
    readonly perPortion: number | null;
    readonly unpriced: readonly string[];
  } | null;
  readonly lastVersion: { readonly number: number; readonly changes: readonly string[] } | null;
  /** What its batches have given; `null` where none was measured. */
  readonly shown: BatchYield | null;
  readonly reasons: boolean;
  /** In large type, with what is read from across the stove only. */
  readonly wall: boolean;
}

/** Writes a card, from the top of the paper that the sheet is at. */
export function writeCard(sheet: Sheet, print: CardPrint): void {
  const { card } = print;
  head(sheet, print);
  sheet.onNext = () => {
    sheet.line(`${card.name}, version ${print.version.number}, continued`, { size: 8, colour: FADED }, 4);
  };
  for (const problem of card.problems)
    sheet.line(`! At this size: ${problem}`, { face: "bold", colour: STOP });
  card.steps.forEach((step, i) => writeStep(sheet, print, step, i));
  if (print.columns.length) writeColumns(sheet, print);
  facts(sheet, print);
  sheet.onNext = null;
}

function head(sheet: Sheet, print: CardPrint): void {
  const { card, version, display } = print;
  const side = sheet.points(58);
  sheet.code(print.code, sheet.right - side, sheet.y, side);
  const width = sheet.width - side - 14;
  let y = sheet.y;
  y += sheet.at(card.name, sheet.left, y, width, { face: "display", size: 20 }) + 1;
  const signed = print.signed
    ? `, signed by ${print.signed.by}, ${dayOf(print.signed.at, print.timeZone)}`
    : "";
  y += sheet.at(`${version.state.toUpperCase()}${signed}`, sheet.left, y, width, { face: "bold" }) + 1;
  y += sheet.at(
    `${print.kitchen}${print.demo ? " · DEMO, invented" : ""} · version ${version.number} · ${version.editedBy}, ${dayOf(version.editedAt, print.timeZone)}`,
    sheet.left,
    y,
    width,
    { size: 8, colour: FADED },
  );
  y += 4;
  const band = bandText(card.end?.volumeMl, 1000, card.finishedMl < 2000 ? 2 : 1);
  y += sheet.at(
    `from ${massFor(display, card.base.massG)} ${card.base.name} · gives ${printVolume(card.finishedMl)}${band && ` (${band} l)`}, ${card.portions} portions of ${massFor(display, card.portionG)} · in ${printDuration(card.totalS)}`,
    sheet.left,
    y,
    width,
    { face: "bold", size: 10.5 },
  );
  sheet.y = Math.max(y, sheet.y + side) + 5;
  sheet.rule(INK, 1.4);
  if (print.newer !== null)
    sheet.line(`! Not the way it is done here any more: version ${print.newer} is the standard.`, {
      face: "bold",
      colour: STOP,
    });
}

/** Of the width, for what goes in. */
const LINES_SHARE = 0.36;

function writeStep(sheet: Sheet, print: CardPrint, step: CardStep, index: number): void {
  const { display, wall } = print;
  const number = sheet.points(18);
  const linesWidth = sheet.width * LINES_SHARE;
  const bare = step.lines.length + step.goesIn.length === 0;
  const textWidth = sheet.width - number - (bare ? 0 : linesWidth + 12);
  const [x, linesX] = [sheet.left + number, sheet.right - linesWidth];
  const { durationS, stop } = step;
  const time =
    durationS === null
      ? ""
      : `about ${printDuration(durationS)} ${bracketed(durationBandText(step.interval?.durationS))}`;
  const say = (text: string) => textFor(display, text);
  const texts: [string, object][] = [
    [say(step.title), { face: "bold", size: wall ? 11.5 : 10 }],
    [say(step.detail), {}],
    [say(step.remark ?? ""), { face: "italic" }],
    [[step.cue && `until: ${say(step.cue)}`, time].filter(Boolean).join(" · "), { colour: FADED, size: 8.5 }],
    [
      stop
        ? `stop at ${printLength(mm(stop.markMm))} ${bracketed(bandText(step.interval?.markMm, 1, 0))} on the stick, or ${massFor(display, stop.grossG)} on the scale with ${stop.vesselName}`
        : "",
      { face: "bold", size: wall ? 12 : 9.5 },
    ],
    [print.reasons && step.why ? `Why: ${say(step.why)}` : "", { size: 8.5, face: "italic" }],
    ...step.cautions.map((caution): [string, object] => [`! ${say(caution)}`, { colour: WARN, size: 8.5 }]),
  ];
  const lines: [string, string, string][] = [
    ...step.lines.map((line): [string, string, string] => [
      line.name,
      massFor(display, line.massG, line.densityGPerMl) + (line.assumed ? " (assumed)" : ""),
      [
        !wall && line.relation,
        line.purchasedG !== undefined && `from ${massFor(display, line.purchasedG)} bought`,
        line.firstG !== undefined && `${massFor(display, line.firstG, line.densityGPerMl)} first, then taste`,
      ]
        .filter(Boolean)
        .join("; "),
    ]),
    ...step.goesIn.map(({ what, massG }): [string, string, string] => [
      `${what}, about`,
      massFor(display, massG),
      "",
    ]),
  ];
  const amount = { face: "bold", size: wall ? 12 : 9.5, align: "right" } as const;
  const name = { size: wall ? 11 : 9.5 } as const;
  const split = linesWidth * 0.56;
  const small = { size: 7.5, colour: FADED } as const;
  const left = texts.reduce(
    (sum, [text, style]) => sum + (text ? sheet.heightOf(text, textWidth, style) + 1 : 0),
    0,
  );
  const rowHeight = ([what, mass, more]: [string, string, string]): number =>
    Math.max(sheet.heightOf(what, split, name), sheet.heightOf(mass, linesWidth - split, amount)) +
    (more ? sheet.heightOf(more, linesWidth, small) : 0) +
    2;
  const height = Math.max(
    left,
    lines.reduce((sum, row) => sum + rowHeight(row), 0),
  );
  sheet.room(height + 6);
  const top = sheet.y;
  sheet.at(String(index + 1), sheet.left, top, number, { face: "display", colour: FADED });
  let y = top;
  for (const [text, style] of texts) if (text) y += sheet.at(text, x, y, textWidth, style) + 1;
  let at = top;
  for (const row of lines) {
    const [what, mass, more] = row;
    sheet.at(what, linesX, at, split, name);
    sheet.at(mass, linesX + split, at, linesWidth - split, amount);
    if (more) {
      const below = at + rowHeight(row) - sheet.heightOf(more, linesWidth, small) - 2;
      sheet.at(more, linesX, below, linesWidth, small);
    }
    at += rowHeight(row);
  }
  sheet.y = top + height + 3;
  sheet.rule();
}

const bracketed = (text: string): string => text && `(${text})`;

/** A table of sizes: names at the left, a column to each size. */
function writeColumns(sheet: Sheet, { card, columns, display }: CardPrint): void {
  const nameWidth = sheet.width * Math.max(0.3, 0.56 - 0.08 * columns.length);
  const width = (sheet.width - nameWidth) / columns.length;
  const row = (
    name: string,
    cells: readonly string[],
    style: { face?: "bold" | "display"; size?: number } = {},
  ) => {
    const right = { size: 9, align: "right", ...style } as const;
    const height = Math.max(
      sheet.heightOf(name, nameWidth - 6, { size: 9, ...style }),
      ...cells.map(cell => sheet.heightOf(cell, width - 6, right)),
    );
    sheet.room(height + 2);
    const { y } = sheet;
    sheet.at(name, sheet.left, y, nameWidth - 6, { size: 9, ...style });
    cells.forEach((cell, i) => sheet.at(cell, sheet.left + nameWidth + i * width + 6, y, width - 6, right));
    sheet.y = y + height + 2;
  };
  const titles = () => {
    row(
      "Batch sizes",
      columns.map(c => c.title + (c.batches > 1 ? `\n${c.batches} batches; figures of one` : "")),
      { face: "display", size: 10 },
    );
    sheet.rule(INK, 1);
  };
  sheet.y += 8;
  sheet.room(80);
  titles();
  if (columns.some(c => c.plain))
    sheet.line("! × is multiplied plainly: steam, fond and strong seasoning are not put right there.", {
      size: 8,
      colour: WARN,
    });
  card.steps.forEach((step, i) => {
    const of = columns.map(c => c.steps[step.id]);
    for (const line of step.lines)
      row(
        `${i + 1}  ${line.name}`,
        columns.map(c => {
          const massG = c.lines[line.lineId];
          return massG === undefined ? "–" : massFor(display, massG, line.densityGPerMl);
        }),
      );
    for (const what of new Set(of.flatMap(one => Object.keys(one?.computed ?? {}))))
      row(
        `${i + 1}  ${what}, about`,
        of.map(one => {
          const massG = one?.computed[what];
          return massG === undefined ? "–" : massFor(display, massG);
        }),
      );
    if (of.some(one => one?.stop))
      row(
        `${i + 1}  ${step.title}: stop at`,
        of.map(one =>
          one?.stop
            ? `${printLength(mm(one.stop.markMm))}\n${massFor(display, one.stop.grossG)} with ${one.vesselName}\nabout ${printDuration(one.durationS)}`
            : "–",
        ),
        { face: "bold" },
      );
  });
  row(
    "gives",
    columns.map(c => `${printVolume(c.finishedMl)} in ${printDuration(c.totalS)}`),
    { face: "bold" },
  );
  sheet.rule();
}

function facts(sheet: Sheet, print: CardPrint): void {
  const { card, wall } = print;
  const { label, keeps } = card;
  const parts: [string, string[]][] = [];
  const part = (title: string, ...texts: (string | false | null)[]) => {
    const said = texts.filter((text): text is string => Boolean(text));
    if (said.length) parts.push([title, said.map(text => textFor(print.display, text))]);
  };
  part(
    "Allergens recorded",
    label.allergens
      ? label.allergens.join(", ") || "none recorded in these ingredients"
      : `not known: ${label.notEntered.join(", ")} not entered`,
    label.guests && `For guests: ${label.guests}`,
    label.wrongName && `! ${label.wrongName}`,
    `Contains ${label.diet.join(", ") || "nothing flagged"}. Cross-contact in the kitchen is not seen here.`,
  );
  part(
    "Keeping",
    `${daysText(keeps.days)} at ${keeps.atC} °C, day of making is day 1 (proposed by class, to be confirmed). ${keeps.words} Follow your local food code.`,
    card.letDown &&
      `× ${printNumber(card.letDown.times, 1)}: 1 part and ${printNumber(card.letDown.waterParts, 1)} parts of water give the ${card.base.name} back.`,
  );
  part("In this house", ...card.houseTerms);
  part("To be reached and written down", ...card.limits);
  if (!wall) work(part, print);
  writeParts(sheet, parts);
}

type Part = (title: string, ...texts: (string | false | null)[]) => void;

/** What a cook at the stove does not need. */
function work(part: Part, { card, cost, lastVersion, shown }: CardPrint): void {
  part(
    "Hands and pots",
    `${printDuration(card.handsOnS)} hands on, ${printDuration(s(Math.max(0, card.totalS - card.handsOnS)))} by itself. ${card.equipment.join(", ")}.`,
    `Yield ${printVolume(card.finishedMl)}, ${printKilograms(g(card.finishedG))}.`,
    shown && yieldWords(shown),
  );
  if (card.nutrition)
    part(`A portion of ${printMass(card.portionG)} brings`, ...nutritionWords(card.nutrition));
  if (cost)
    part(
      "Cost",
      [
        costInWords(cost.foodCost, cost.currency),
        cost.perKg !== null && `${costInWords(cost.perKg, cost.currency)} a kilogram`,
        cost.perPortion !== null && `${costInWords(cost.perPortion, cost.currency)} a portion`,
      ]
        .filter(Boolean)
        .join(", ") +
        (cost.unpriced.length ? ` (without ${cost.unpriced.join(", ")}: no price entered)` : ""),
    );
  if (lastVersion)
    part(
      `Since version ${lastVersion.number}`,
      ...(lastVersion.changes.length ? lastVersion.changes : ["Nothing a cook would notice."]),
    );
  part("Notes", card.notes);
}

const HEAD = { face: "display", size: 11 } as const;

/** Short texts in pairs, side by side. */
function writeParts(sheet: Sheet, parts: readonly (readonly [string, readonly string[]])[]): void {
  const width = (sheet.width - 18) / 2;
  const heightOf = ([title, texts]: readonly [string, readonly string[]]): number =>
    sheet.heightOf(title, width, HEAD) +
    2 +
    texts.reduce((sum, text) => sum + sheet.heightOf(text, width) + 1, 0);
  for (let i = 0; i < parts.length; i += 2) {
    const pair = parts.slice(i, i + 2);
    const height = Math.max(...pair.map(heightOf));
    sheet.y += 7;
    sheet.room(height);
    pair.forEach(([title, texts], column) => {
      const x = sheet.left + column * (width + 18);
      let y = sheet.y + sheet.at(title, x, sheet.y, width, HEAD) + 2;
      for (const text of texts) y += sheet.at(text, x, y, width) + 1;
    });
    sheet.y += height;
  }
}

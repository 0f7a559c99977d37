import {
  type KitchenData,
  type WalkOut,
  openKitchen,
  readFormula,
  usualKitchen,
  walk,
  walkOut,
} from "../formula";
import { printNumber } from "../ground/quantity";
import { type Result, ok, refuse } from "../ground/result";
import { type ReadOut, readOut } from "./read-out";

/** Recipes read and walked without a kitchen of one's own: the reference larder and usual pots at an altitude. */

const at = (altitudeM: number): KitchenData => usualKitchen({ altitudeM });

export const readAt = (text: string, altitudeM: number): ReadOut => readOut(text, at(altitudeM));

/**
 * A formula, or a recipe in words, walked to its end.
 * @errors EMPTY where no step was found in the words · those of `readFormula`
 */
export function walkAt(
  of: { readonly text: string } | { readonly formula: unknown },
  altitudeM: number,
): Result<WalkOut> {
  const kitchen = at(altitudeM);
  if ("text" in of) {
    const { document } = readOut(of.text, kitchen);
    return document
      ? ok(walkOut(walk(document, openKitchen(kitchen))))
      : refuse({ code: "EMPTY", field: "text", message: "No step was found in these words." });
  }
  const read = readFormula(of.formula);
  return read.ok ? ok(walkOut(walk(read.value, openKitchen(kitchen)))) : read;
}

/** What was understood, as lines to read. */
export function inWords({ name, pieces, unread, walk: walked }: ReadOut): string {
  const lines = pieces.flatMap(piece => [
    `${piece.clear ? "✓" : "?"} ${piece.kind}: ${piece.text}`,
    ...piece.lines.map(
      line =>
        `    ${line.massG === null ? "–" : `${printNumber(line.massG, 1)} g`} ${line.name}${line.assumed ? " (assumed)" : ""}`,
    ),
    ...[...piece.questions, ...piece.doubts].map(ask => `    ? ${ask}`),
  ]);
  return [
    name || "Without a name",
    ...lines,
    ...unread.map(text => `✕ not read: ${text}`),
    walked
      ? `gives ${printNumber(walked.finishedG)} g, ${printNumber(walked.finishedMl)} ml${walked.body === null ? "" : `, body ${printNumber(walked.body)}`}`
      : "nothing to cook in it",
    ...(walked?.problems.map(problem => `✕ ${problem}`) ?? []),
    "",
  ].join("\n");
}

/** A walk as lines to read. */
export const walkInWords = ({ states, finishedG, finishedMl, totalMin, problems }: WalkOut): string =>
  [
    ...states.flatMap((state, i) => [
      `${i + 1}. ${state.title}: ${printNumber(state.massG)} g, ${printNumber(state.temperatureC)} °C, ${printNumber(state.minutes)} min${state.body === null ? "" : `, body ${printNumber(state.body)}`}`,
      ...state.warnings.map(warning => `   ▲ ${warning.message}`),
    ]),
    `gives ${printNumber(finishedG)} g, ${printNumber(finishedMl)} ml in ${printNumber(totalMin)} min`,
    ...problems.map(problem => `✕ ${problem}`),
    "",
  ].join("\n");

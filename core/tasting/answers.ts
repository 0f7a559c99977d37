import { z } from "zod";
import { type Result, ok, refuse } from "../ground/result";
import { type Discriminated, type Discrimination, discriminated } from "./discrimination";
import { type Ranked, ranked } from "./ranking";
import { type Scored, type ScoresCompared, repeats, scored, scoresCompared } from "./scores";
import { type Cup, type Kind, keyAt } from "./serving";

/** What tasters answered, and what it comes to once all is opened. */

export const answerSchema = z.union([
  z.strictObject({
    chosen: z
      .string()
      .regex(/^\d{3}$/)
      .nullable(),
  }),
  z.strictObject({
    order: z
      .array(z.string().regex(/^\d{3}$/))
      .min(2)
      .max(8),
  }),
  z.strictObject({ scores: z.record(z.string().regex(/^\d{3}$/), z.number().min(0).max(10)) }),
]);
export type Answer = z.infer<typeof answerSchema>;

export interface Seat {
  readonly cups: readonly Cup[];
  readonly answer: Answer | null;
}

const refusedAnswer = (message: string): Result<never> =>
  refuse({ code: "NOT_UNDERSTOOD", field: "answer", message });

/** Whether an answer is one to these cups. @errors NOT_UNDERSTOOD what is missing */
export function checkAnswer(kind: Kind, cups: readonly Cup[], answer: Answer): Result<Answer> {
  const open = cups.filter(cup => !cup.reference).map(cup => cup.code);
  if ("chosen" in answer) {
    if (kind === "ranking" || kind === "scores") return refusedAnswer("All of the cups are asked for.");
    if (answer.chosen === null)
      return kind === "paired preference"
        ? ok(answer)
        : refusedAnswer("Choose one, even where you are not sure: a guess is an answer here.");
    return open.includes(answer.chosen) ? ok(answer) : refusedAnswer("That cup is not one of yours.");
  }
  if ("order" in answer) {
    const all = answer.order.length === open.length && open.every(code => answer.order.includes(code));
    return kind === "ranking" && all ? ok(answer) : refusedAnswer("Put every cup in its place, each once.");
  }
  const missing = open.find(code => answer.scores[code] === undefined);
  if (kind !== "scores") return refusedAnswer("Scores are not asked for here.");
  if (missing) return refusedAnswer(`The cup ${missing} has no score yet.`);
  return Object.keys(answer.scores).every(code => open.includes(code))
    ? ok(answer)
    : refusedAnswer("That cup is not one of yours.");
}

export type Outcome =
  | { readonly of: "choice"; readonly found: Discriminated; readonly none: number }
  | { readonly of: "ranking"; readonly found: Ranked }
  | {
      readonly of: "scores";
      readonly each: readonly (Scored | null)[];
      readonly found: ScoresCompared | null;
      /** Of the sample that was served twice. */
      readonly repeats: readonly { readonly apart: number; readonly accepted: boolean }[];
    };

const DISCRIMINATION: Partial<Record<Kind, Discrimination>> = {
  triangle: "triangle",
  "duo-trio": "duo-trio",
  "paired comparison": "paired comparison",
  "paired preference": "paired preference",
};

/**
 * What all answers come to. Seats without an answer do not count.
 * @param expected of a directed question: the sample that was expected to have more, fixed before anybody tasted
 * @errors NOT_ENOUGH nobody has answered, or too few
 */
export function outcomeOf(
  kind: Kind,
  samples: number,
  seats: readonly Seat[],
  expected = "A",
): Result<Outcome> {
  const answered = seats.flatMap(({ cups, answer }) => (answer ? [{ cups, answer }] : []));
  if (!answered.length)
    return refuse({ code: "NOT_ENOUGH", field: "answers", message: "Nobody has answered." });
  const test = DISCRIMINATION[kind];
  if (test) {
    const chosen = answered.flatMap(({ cups, answer }) => {
      const cup = "chosen" in answer ? cups.find(c => c.code === answer.chosen && !c.reference) : undefined;
      return cup ? [{ cups, cup }] : [];
    });
    if (!chosen.length)
      return refuse({ code: "NOT_ENOUGH", field: "answers", message: "Nobody has chosen one." });
    const right = chosen.filter(({ cups, cup }) => isRight(kind, cups, cup, expected)).length;
    const found = discriminated(test, chosen.length, right);
    return found.ok ? ok({ of: "choice", found: found.value, none: answered.length - chosen.length }) : found;
  }
  const keys = Array.from({ length: samples }, (_, i) => keyAt(i));
  if (kind === "ranking") {
    const found = ranked(
      answered.flatMap(({ cups, answer }) =>
        "order" in answer
          ? [
              keys.map(
                key => answer.order.findIndex(code => cups.find(c => c.code === code)?.key === key) + 1,
              ),
            ]
          : [],
      ),
    );
    return found.ok ? ok({ of: "ranking", found: found.value }) : found;
  }
  const given = answered.map(({ cups, answer }) =>
    keys.map(key =>
      cups.flatMap(c => {
        const score = "scores" in answer ? answer.scores[c.code] : undefined;
        return c.key === key && score !== undefined ? [score] : [];
      }),
    ),
  );
  const table = given.map(row => row.map(scores => scores.reduce((a, b) => a + b, 0) / scores.length));
  const compared = samples > 1 ? scoresCompared(table) : null;
  return ok({
    of: "scores",
    each: keys.map((_, j) => {
      const one = scored(table.map(row => row[j] ?? Number.NaN));
      return one.ok ? one.value : null;
    }),
    found: compared?.ok ? compared.value : null,
    repeats: repeats(
      given.flatMap(row =>
        row.flatMap(([a, b]): [number, number][] => (a !== undefined && b !== undefined ? [[a, b]] : [])),
      ),
    ),
  });
}

function isRight(kind: Kind, cups: readonly Cup[], chosen: Cup, expected: string): boolean {
  if (kind === "triangle") return cups.filter(c => c.key === chosen.key).length === 1;
  if (kind === "duo-trio") return cups.find(c => c.reference)?.key === chosen.key;
  return chosen.key === (kind === "paired comparison" ? expected : "A");
}

import { g, printMass } from "../ground/quantity";
import { type RunEvent, timeOf } from "./events";
import type { Ingredient } from "../things/larder";
import type { Felt } from "./touch";
import type { FIX_OUTCOMES, INCIDENTS, PutInFor, Taste } from "./payloads";

/** What cooks told of a pot besides its readings: how it tastes, what went wrong, what was done about it, who has it. */

interface Said {
  readonly eventId: string;
  readonly at: number;
  readonly personId: string;
  readonly stepId: string;
}

export interface Tasting extends Said {
  readonly verdicts: Readonly<Partial<Record<Taste, number>>>;
  readonly score: number | null;
  readonly words: string;
  /** Seasoned to the end. */
  readonly stop: boolean;
}

export interface Incident extends Said {
  readonly what: (typeof INCIDENTS)[number];
  readonly lostG: number | null;
  readonly words: string;
}

export interface Fix extends Said {
  readonly fault: string;
  readonly remedy: string;
  /** `null`: nobody has told yet whether it worked. */
  readonly outcome: (typeof FIX_OUTCOMES)[number] | null;
}

export interface HandOver extends Said {
  readonly toPersonId: string;
  readonly next: string;
  readonly nextAt: number | null;
}

/** Something that went in besides the formula. */
export interface PutIn extends Said {
  readonly ingredient: Ingredient;
  readonly massG: number;
  readonly why: PutInFor;
  /** As it was counted, where nobody weighed it. */
  readonly counted: string | null;
}

export interface Touched extends Said, Felt {}

export interface Told {
  readonly touches: readonly Touched[];
  readonly putIns: readonly PutIn[];
  readonly tastings: readonly Tasting[];
  readonly incidents: readonly Incident[];
  readonly fixes: readonly Fix[];
  /** Who has it now and what is next; `null` while nobody has handed it on. */
  readonly handOver: HandOver | null;
}

/** @param counted events that count, in order */
export function toldIn(counted: readonly RunEvent[]): Told {
  const touches: Touched[] = [];
  const putIns: PutIn[] = [];
  const tastings: Tasting[] = [];
  const incidents: Incident[] = [];
  const fixes: Fix[] = [];
  let handOver: HandOver | null = null;
  const outcomes = new Map(
    counted.flatMap(e =>
      e.payload.kind === "fix-told" ? [[e.payload.fixId, e.payload.outcome] as const] : [],
    ),
  );
  for (const event of counted) {
    const { payload } = event;
    if (!("stepId" in payload)) continue;
    const said: Said = {
      eventId: event.id,
      at: timeOf(event),
      personId: event.personId,
      stepId: payload.stepId,
    };
    if (payload.kind === "put-in")
      putIns.push({
        ...said,
        ingredient: payload.ingredient,
        massG: payload.massG,
        why: payload.why,
        counted: payload.counted ?? null,
      });
    else if (payload.kind === "felt")
      touches.push({ ...said, touch: payload.touch, temperatureC: payload.temperatureC });
    else if (payload.kind === "tasted")
      tastings.push({
        ...said,
        verdicts: payload.verdicts,
        score: payload.score ?? null,
        words: payload.words ?? "",
        stop: payload.stop,
      });
    else if (payload.kind === "incident")
      incidents.push({
        ...said,
        what: payload.what,
        lostG: payload.lostG ?? null,
        words: payload.words ?? "",
      });
    else if (payload.kind === "fixed")
      fixes.push({
        ...said,
        fault: payload.fault,
        remedy: payload.remedy,
        outcome: outcomes.get(event.id) ?? null,
      });
    else if (payload.kind === "handed-over")
      handOver = {
        ...said,
        toPersonId: payload.toPersonId,
        next: payload.next,
        nextAt: payload.nextAt === undefined ? null : Date.parse(payload.nextAt),
      };
  }
  return { touches, putIns, tastings, incidents, fixes, handOver };
}

/** What a verdict is called, from far too little to far too much. */
export const VERDICTS = [
  [-2, "far too little"],
  [-1, "a little more"],
  [0, "right"],
  [1, "a little much"],
  [2, "far too much"],
] as const;
/** The best a tasting is given. */
export const MOST_SCORE = 10;

/** @example "salt a little more, 6 of 10, “flat”" */
export function tastingInWords(tasting: Pick<Tasting, "verdicts" | "score" | "words" | "stop">): string {
  const { verdicts, score, words, stop } = tasting;
  return [
    ...Object.entries(verdicts).map(
      ([taste, verdict]) => `${taste} ${VERDICTS.find(([v]) => v === verdict)?.[1] ?? ""}`,
    ),
    ...(score === null ? [] : [`${score} of ${MOST_SCORE}`]),
    ...(words ? [`“${words}”`] : []),
    ...(stop ? ["enough"] : []),
  ].join(", ");
}

/** @example "split, 600 g lost, oil in one pour" */
export const incidentInWords = ({ what, lostG, words }: Pick<Incident, "what" | "lostG" | "words">): string =>
  [what, lostG === null ? "" : `${printMass(g(lostG))} lost`, words].filter(Boolean).join(", ");

/** @example "too salty: dilute, 200 g, worked" */
export const fixInWords = ({ fault, remedy, outcome }: Pick<Fix, "fault" | "remedy" | "outcome">): string =>
  `${fault}: ${remedy}${outcome ? `, it ${outcome === "did not" ? "did not work" : outcome === "in part" ? "worked in part" : "worked"}` : ""}`;

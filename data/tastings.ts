import { createHash, randomBytes, randomInt } from "node:crypto";
import { and, asc, count, desc, eq, gt, isNotNull, isNull, sql } from "drizzle-orm";
import { ulid } from "ulid";
import type { Answer, Cup, Kind } from "../core/tasting";
import { recordAudit } from "./audit";
import type { Database, Queries } from "./connection";
import { type TastedSample, person, tasting, tastingSeat } from "./schema";

/** Blind tastings: set up by the kitchen, answered on phones, sealed until they are closed. */

interface Change {
  readonly kitchenId: string;
  readonly personId: string;
  readonly now: Date;
}

/** A code lets tasters in for one service, ms. */
const CODE_LASTS_MS = 12 * 3600_000;
/** Without letters and figures that look alike. */
const SIGNS = "ABCDEFGHJKMNPQRSTUVWXYZ23456789";
const CODE_SIGNS = 6;

const newCode = (): string =>
  Array.from({ length: CODE_SIGNS }, () => SIGNS[randomInt(SIGNS.length)]).join("");
const hashOf = (token: string): string => createHash("sha256").update(token).digest("hex");

export interface NewTasting {
  readonly id?: string;
  readonly name: string;
  readonly kind: Kind;
  readonly question: string;
  readonly expected: string;
  readonly samples: readonly TastedSample[];
  readonly duplicate: boolean;
  readonly demo?: boolean;
}

/** Sets a tasting up with its cups; sent twice it is one. @returns its id */
export const addTasting = (
  db: Database,
  change: Change,
  made: NewTasting,
  seats: readonly (readonly Cup[])[],
): Promise<string> =>
  db.transaction(async tx => {
    const { kitchenId, personId, now } = change;
    const { id = ulid(), ...rest } = made;
    const [done] = await tx
      .insert(tasting)
      .ignore()
      .values({
        ...rest,
        id,
        kitchenId,
        personId,
        at: now,
        code: newCode(),
        codeUntil: new Date(now.getTime() + CODE_LASTS_MS),
      });
    if (!done.affectedRows) return id;
    await tx
      .insert(tastingSeat)
      .values(seats.map((cups, place) => ({ tastingId: id, place, kitchenId, cups: [...cups] })));
    await recordAudit(tx, { ...change, what: "tasting", subject: id, detail: { name: made.name } });
    return id;
  });

export type StoredTasting = Omit<typeof tasting.$inferSelect, "kitchenId">;
export interface StoredSeat {
  readonly place: number;
  readonly cups: readonly Cup[];
  readonly taken: boolean;
  readonly name: string;
  readonly answer: Answer | null;
  readonly words: string;
}

/** The tastings of a kitchen, the latest first, with how many have answered. */
export const listTastings = (db: Queries, kitchenId: string, most: number) =>
  db
    .select({
      id: tasting.id,
      name: tasting.name,
      kind: tasting.kind,
      samples: tasting.samples,
      at: tasting.at,
      closedAt: tasting.closedAt,
      decision: tasting.decision,
      by: person.name,
      seats: count(tastingSeat.place),
      answered: count(tastingSeat.answeredAt),
    })
    .from(tasting)
    .innerJoin(person, eq(person.id, tasting.personId))
    .innerJoin(tastingSeat, eq(tastingSeat.tastingId, tasting.id))
    .where(eq(tasting.kitchenId, kitchenId))
    .groupBy(tasting.id, person.name)
    .orderBy(desc(tasting.at))
    .limit(most);

/** A tasting with its seats; while it is open what was answered stays sealed. */
export async function findTasting(
  db: Queries,
  kitchenId: string,
  id: string,
): Promise<{ readonly tasting: StoredTasting; readonly seats: readonly StoredSeat[] } | null> {
  const [found] = await db
    .select()
    .from(tasting)
    .where(and(eq(tasting.kitchenId, kitchenId), eq(tasting.id, id)));
  if (!found) return null;
  const seats = await seatsOf(db, id);
  const sealed = found.closedAt === null;
  return {
    tasting: found,
    seats: seats.map(({ place, cups, token, name, answer, words, answeredAt }) => ({
      place,
      cups,
      taken: token !== null || answeredAt !== null,
      name,
      answer: sealed ? null : answer,
      words: sealed ? "" : words,
    })),
  };
}

const seatsOf = (db: Queries, id: string) =>
  db.select().from(tastingSeat).where(eq(tastingSeat.tastingId, id)).orderBy(asc(tastingSeat.place));

/** How many sit and have answered. */
export async function countSeats(db: Queries, id: string): Promise<{ taken: number; answered: number }> {
  const [found] = await db
    .select({ taken: count(tastingSeat.token), answered: count(tastingSeat.answeredAt) })
    .from(tastingSeat)
    .where(eq(tastingSeat.tastingId, id));
  return found ?? { taken: 0, answered: 0 };
}

/** Opens the answers: from here on none is taken. */
export async function closeTasting(db: Database, change: Change, id: string): Promise<boolean> {
  return db.transaction(async tx => {
    const [done] = await tx
      .update(tasting)
      .set({ closedAt: change.now })
      .where(and(eq(tasting.kitchenId, change.kitchenId), eq(tasting.id, id), isNull(tasting.closedAt)));
    if (done.affectedRows)
      await recordAudit(tx, { ...change, what: "tasting", subject: id, detail: { closed: true } });
    return done.affectedRows > 0;
  });
}

/** Notes what was made of a closed one. */
export const decideTasting = (db: Database, change: Change, id: string, decision: string): Promise<boolean> =>
  db.transaction(async tx => {
    const [done] = await tx
      .update(tasting)
      .set({ decision })
      .where(and(eq(tasting.kitchenId, change.kitchenId), eq(tasting.id, id), isNotNull(tasting.closedAt)));
    await recordAudit(tx, { ...change, what: "tasting", subject: id, detail: { decision } });
    return done.affectedRows > 0;
  });

/** The tasting a code lets into now; `null` for none, one that is over, and one that is closed. */
export async function tastingByCode(db: Queries, code: string, now: Date): Promise<StoredTasting | null> {
  const [found] = await db
    .select()
    .from(tasting)
    .where(and(eq(tasting.code, code), isNull(tasting.closedAt), gt(tasting.codeUntil, now)));
  return found ?? null;
}

/** Seats a taster at the next free place. @returns what his phone proves itself with; `null` where all are taken */
export const takeSeat = (db: Database, id: string, name: string): Promise<string | null> =>
  db.transaction(async tx => {
    const [free] = await tx
      .select({ place: tastingSeat.place })
      .from(tastingSeat)
      .where(and(eq(tastingSeat.tastingId, id), isNull(tastingSeat.token), isNull(tastingSeat.answeredAt)))
      .orderBy(asc(tastingSeat.place))
      .limit(1)
      .for("update");
    if (!free) return null;
    const token = randomBytes(24).toString("base64url");
    await tx
      .update(tastingSeat)
      .set({ token: hashOf(token), name })
      .where(and(eq(tastingSeat.tastingId, id), eq(tastingSeat.place, free.place)));
    return token;
  });

/** The seat a phone sits at. */
export async function seatBy(db: Queries, id: string, token: string) {
  const [found] = await db
    .select()
    .from(tastingSeat)
    .where(and(eq(tastingSeat.tastingId, id), eq(tastingSeat.token, hashOf(token))));
  return found ?? null;
}

/** Takes an answer once: what is sealed does not change. @returns whether it stands now, by this or an earlier sending */
export async function answerSeat(
  db: Database,
  id: string,
  token: string,
  given: { readonly answer: Answer; readonly words: string; readonly now: Date },
): Promise<boolean> {
  await db
    .update(tastingSeat)
    .set({ answer: given.answer, words: given.words, answeredAt: given.now })
    .where(
      and(
        eq(tastingSeat.tastingId, id),
        eq(tastingSeat.token, hashOf(token)),
        isNull(tastingSeat.answeredAt),
        sql`exists (select 1 from ${tasting} where ${tasting.id} = ${id} and ${tasting.closedAt} is null)`,
      ),
    );
  return ((await seatBy(db, id, token))?.answeredAt ?? null) !== null;
}

/** Closed tastings a version was in, the latest first. */
export const tastingsOf = (db: Queries, kitchenId: string, versionId: string) =>
  db
    .select({
      id: tasting.id,
      name: tasting.name,
      kind: tasting.kind,
      at: tasting.at,
      decision: tasting.decision,
    })
    .from(tasting)
    .where(
      and(
        eq(tasting.kitchenId, kitchenId),
        isNotNull(tasting.closedAt),
        sql`json_search(${tasting.samples}, 'one', ${versionId}, null, '$[*].versionId') is not null`,
      ),
    )
    .orderBy(desc(tasting.at));

/** For a demo: what a panel had said. */
export async function seatPanel(
  db: Database,
  id: string,
  panel: readonly {
    readonly place: number;
    readonly name: string;
    readonly answer: Answer;
    readonly words: string;
  }[],
  at: Date,
): Promise<void> {
  for (const { place, ...said } of panel)
    await db
      .update(tastingSeat)
      .set({ ...said, answeredAt: at })
      .where(and(eq(tastingSeat.tastingId, id), eq(tastingSeat.place, place)));
}

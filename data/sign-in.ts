import { and, asc, eq, gt, isNull, lt, ne } from "drizzle-orm";
import { recordAudit } from "./audit";
import type { Queries, Transacting } from "./connection";
import type { KitchenData } from "../core/formula";
import { type KitchenHead, firstKitchen, insertKitchen } from "./kitchens";
import { type Person, personOf } from "./people";
import { credential, kitchen, person, session, tablet } from "./schema";
import { hashToken, newToken } from "./secrets";

/** Somebody who could sign in, with what is kept of their secrets. */
export interface Account {
  readonly person: Person;
  readonly kitchenId: string;
  readonly passwordHash: string | null;
  readonly pinHash: string | null;
}

const accounts = (db: Queries) =>
  db
    .select({ person, passwordHash: credential.passwordHash, pinHash: credential.pinHash })
    .from(person)
    .leftJoin(credential, eq(credential.personId, person.id));

type AccountRow = Awaited<ReturnType<typeof accounts>>[number];
const accountOf = (row: AccountRow | undefined): Account | null =>
  row ? { ...row, person: personOf(row.person), kitchenId: row.person.kitchenId } : null;

/** Whoever signs in by a name; `null` where nobody does, or who has left. */
export async function accountByLogin(db: Queries, login: string): Promise<Account | null> {
  const [row] = await accounts(db).where(and(eq(person.login, login), isNull(person.leftAt)));
  return accountOf(row);
}

export async function accountById(db: Queries, kitchenId: string, id: string): Promise<Account | null> {
  const here = and(eq(person.id, id), eq(person.kitchenId, kitchenId), isNull(person.leftAt));
  const [row] = await accounts(db).where(here);
  return accountOf(row);
}

/** Who of a kitchen can change to their name with a PIN. */
export async function havePins(db: Queries, kitchenId: string): Promise<Person[]> {
  const rows = await accounts(db)
    .where(and(eq(person.kitchenId, kitchenId), isNull(person.leftAt)))
    .orderBy(asc(person.position));
  return rows.filter(row => row.pinHash !== null).map(row => personOf(row.person));
}

/**
 * Keeps a new password or PIN, as its hash. Whoever was signed in as them is signed out, but for one session: a password
 * is changed when somebody else may know it.
 */
export async function setSecret(
  db: Transacting,
  change: { readonly kitchenId: string; readonly personId: string; readonly now: Date },
  of: string,
  secret: { readonly passwordHash: string } | { readonly pinHash: string | null },
  keep: string | null = null,
): Promise<void> {
  await db.transaction(async tx => {
    await tx
      .insert(credential)
      .values({ personId: of, changedAt: change.now, ...secret })
      .onDuplicateKeyUpdate({ set: { changedAt: change.now, ...secret } });
    if ("passwordHash" in secret) await endSessionsOf(tx, of, keep);
    await recordAudit(tx, {
      ...change,
      what: "passwordHash" in secret ? "password" : "pin",
      subject: of,
      detail: {},
    });
  });
}

/** Writes secrets down when a kitchen is set up. */
export const insertCredentials = (db: Queries, all: (typeof credential.$inferInsert)[]) =>
  db.insert(credential).values(all);

/** Sets up the first kitchen of an installation with its chef, all or nothing; `false` where one is there already. */
export async function foundKitchen(
  db: Transacting,
  first: {
    readonly kitchen: KitchenData;
    readonly person: Person;
    readonly passwordHash: string;
    readonly now: Date;
  },
): Promise<boolean> {
  const { kitchen: founded, person: chef, passwordHash, now } = first;
  return db.transaction(async tx => {
    if (await firstKitchen(tx)) return false;
    await insertKitchen(tx, { ...founded, demo: false }, [chef]);
    await insertCredentials(tx, [{ personId: chef.id, passwordHash, changedAt: now }]);
    await recordAudit(tx, {
      kitchenId: founded.id,
      personId: chef.id,
      now,
      what: "kitchen.founded",
      subject: founded.id,
      detail: { name: founded.name },
    });
    return true;
  });
}

/** Who is signed in, and how. */
export interface SignedIn {
  readonly sessionId: string;
  readonly person: Person;
  readonly kitchen: KitchenHead & { readonly demo: boolean };
  readonly tabletId: string | null;
  readonly way: "password" | "pin";
}

const DAY_MS = 24 * 3600 * 1000;
/** So long without a sign of life ends a session: on a device of one’s own, and on one that others share, ms. */
const LASTS_MS = 30 * DAY_MS;
const LASTS_SHARED_MS = DAY_MS / 2;
/** A sign of life is written down no more often than this, ms. */
const SEEN_EVERY_MS = 5 * 60 * 1000;

const lasts = (tabletId: string | null): number => (tabletId === null ? LASTS_MS : LASTS_SHARED_MS);

/** Signs somebody in. @returns what the device keeps to be known again */
export async function openSession(
  db: Queries,
  by: {
    readonly personId: string;
    readonly tabletId: string | null;
    readonly way: "password" | "pin";
    readonly now: Date;
  },
): Promise<string> {
  const token = newToken();
  const { now, ...who } = by;
  await db.delete(session).where(lt(session.expiresAt, now));
  await db.insert(session).values({
    id: hashToken(token),
    ...who,
    createdAt: now,
    seenAt: now,
    expiresAt: new Date(now.getTime() + lasts(by.tabletId)),
  });
  return token;
}

/** Who a device’s token stands for now; `null` where it has ended, or who has left. */
export async function signedIn(db: Queries, token: string, now: Date): Promise<SignedIn | null> {
  const id = hashToken(token);
  const [row] = await db
    .select({ session, person, kitchen })
    .from(session)
    .innerJoin(person, eq(person.id, session.personId))
    .innerJoin(kitchen, eq(kitchen.id, person.kitchenId))
    .where(and(eq(session.id, id), gt(session.expiresAt, now), isNull(person.leftAt)));
  if (!row) return null;
  const { tabletId, way, seenAt } = row.session;
  if (now.getTime() - seenAt.getTime() > SEEN_EVERY_MS)
    await db
      .update(session)
      .set({ seenAt: now, expiresAt: new Date(now.getTime() + lasts(tabletId)) })
      .where(eq(session.id, id));
  const { id: kitchenId, revision, namesRevision, demo } = row.kitchen;
  return {
    sessionId: id,
    person: personOf(row.person),
    kitchen: { id: kitchenId, revision, namesRevision, demo },
    tabletId,
    way,
  };
}

export const endSession = (db: Queries, token: string) =>
  db.delete(session).where(eq(session.id, hashToken(token)));

/** Signs somebody out everywhere. @param keep the session that goes on, if one does */
export const endSessionsOf = (db: Queries, personId: string, keep: string | null = null) =>
  db
    .delete(session)
    .where(and(eq(session.personId, personId), keep === null ? undefined : ne(session.id, keep)));

/** Where somebody is signed in, the last used first. */
export async function sessionsOf(db: Queries, personId: string, now: Date) {
  const rows = await db
    .select({
      id: session.id,
      way: session.way,
      createdAt: session.createdAt,
      seenAt: session.seenAt,
      tablet: tablet.name,
    })
    .from(session)
    .leftJoin(tablet, eq(tablet.id, session.tabletId))
    .where(and(eq(session.personId, personId), gt(session.expiresAt, now)))
    .orderBy(asc(session.seenAt));
  return rows.reverse();
}

export interface Tablet {
  readonly id: string;
  readonly kitchenId: string;
  readonly name: string;
}

/** Makes the device one that the kitchen’s cooks share. @returns what it keeps to be known again */
export async function addTablet(
  db: Transacting,
  change: { readonly kitchenId: string; readonly personId: string; readonly now: Date },
  name: string,
): Promise<{ readonly token: string; readonly id: string }> {
  const token = newToken();
  const id = hashToken(token);
  await db.transaction(async tx => {
    const { kitchenId, personId, now } = change;
    await tx.insert(tablet).values({ id, kitchenId, name, addedBy: personId, addedAt: now });
    await recordAudit(tx, { ...change, what: "tablet", subject: id.slice(0, 12), detail: { name } });
  });
  return { token, id };
}

export async function tabletAt(db: Queries, token: string): Promise<Tablet | null> {
  const [row] = await db
    .select()
    .from(tablet)
    .where(eq(tablet.id, hashToken(token)));
  return row ?? null;
}

export const listTablets = (db: Queries, kitchenId: string) =>
  db
    .select({ id: tablet.id, name: tablet.name, addedAt: tablet.addedAt, by: person.name })
    .from(tablet)
    .innerJoin(person, eq(person.id, tablet.addedBy))
    .where(eq(tablet.kitchenId, kitchenId))
    .orderBy(asc(tablet.addedAt));

/** A shared device is shared no more: whoever is signed in on it is signed out. */
export async function removeTablet(
  db: Transacting,
  change: { readonly kitchenId: string; readonly personId: string; readonly now: Date },
  id: string,
): Promise<void> {
  await db.transaction(async tx => {
    await tx.delete(tablet).where(and(eq(tablet.id, id), eq(tablet.kitchenId, change.kitchenId)));
    await recordAudit(tx, {
      ...change,
      what: "tablet",
      subject: id.slice(0, 12),
      detail: { removed: true },
    });
  });
}

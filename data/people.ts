import { and, asc, eq, isNull, max } from "drizzle-orm";
import { type Display, USUAL_DISPLAY, displaySchema } from "../core/things/house";
import type { Rank } from "../core/things/rank";
import { recordAudit } from "./audit";
import type { Queries, Transacting } from "./connection";
import { isDuplicate } from "./database-errors";
import { inKitchen } from "./in-kitchen";
import { person, session } from "./schema";

export interface Person {
  readonly id: string;
  readonly name: string;
  /** Post in the brigade, in the house's words. */
  readonly role: string;
  readonly rank: Rank;
  /** What they sign in with. */
  readonly login: string;
  /** Signs in no more. */
  readonly left?: true;
  /** How this cook wants amounts shown. */
  readonly display?: Display;
}

/** Who works in a kitchen. @param left also those who have left: what they wrote still stands under their name */
export async function listPeople(
  db: Queries,
  kitchenId: string,
  { left = false }: { readonly left?: boolean } = {},
): Promise<Person[]> {
  const rows = await db
    .select()
    .from(person)
    .where(and(eq(person.kitchenId, kitchenId), left ? undefined : isNull(person.leftAt)))
    .orderBy(asc(person.position));
  return rows.map(personOf);
}

export const personOf = ({
  id,
  name,
  role,
  rank,
  login,
  display,
  leftAt,
}: typeof person.$inferSelect): Person => ({
  id,
  name,
  role,
  rank,
  login: login ?? id,
  display: displayOf(display),
  ...(leftAt && { left: true }),
});

function displayOf(stored: unknown): Display {
  const read = displaySchema.safeParse(stored);
  return read.success ? read.data : USUAL_DISPLAY;
}

/** Keeps how a cook wants amounts shown. */
export async function saveDisplay(
  db: Transacting,
  kitchenId: string,
  personId: string,
  display: Display,
): Promise<void> {
  await inKitchen(db, kitchenId, tx =>
    tx
      .update(person)
      .set({ display })
      .where(and(eq(person.id, personId), eq(person.kitchenId, kitchenId))),
  );
}

interface Change {
  readonly kitchenId: string;
  readonly personId: string;
  readonly now: Date;
}

/** Takes somebody into the kitchen; `false` where the sign-in name is taken, in this kitchen or another. */
export async function addPerson(
  db: Transacting,
  change: Change,
  added: Omit<Person, "display" | "left">,
): Promise<boolean> {
  try {
    await inKitchen(db, change.kitchenId, async tx => {
      const [last] = await tx
        .select({ position: max(person.position) })
        .from(person)
        .where(eq(person.kitchenId, change.kitchenId));
      await tx
        .insert(person)
        .values({ ...added, kitchenId: change.kitchenId, position: (last?.position ?? -1) + 1 });
      const { id, name, role, rank } = added;
      await recordAudit(tx, { ...change, what: "person", subject: id, detail: { name, role, rank } });
    });
    return true;
  } catch (error) {
    if (isDuplicate(error)) return false;
    throw error;
  }
}

/**
 * Changes somebody's post or rank, or lets them leave (and signs them out). A kitchen keeps a chef.
 * @returns "nobody" where there is no such person here, "last chef" where nobody would be left to sign
 */
export async function changePerson(
  db: Transacting,
  change: Change,
  id: string,
  to: { readonly role?: string; readonly rank?: Rank; readonly leaves?: true },
): Promise<"changed" | "nobody" | "last chef"> {
  return inKitchen(db, change.kitchenId, async tx => {
    // The kitchen is held: of two chefs who let each other go at once one stays.
    const here = await tx
      .select()
      .from(person)
      .where(and(eq(person.kitchenId, change.kitchenId), isNull(person.leftAt)));
    const found = here.find(p => p.id === id);
    if (!found) return "nobody";
    const staysChef = !to.leaves && (to.rank ?? found.rank) === "chef";
    if (!staysChef && !here.some(p => p.id !== id && p.rank === "chef")) return "last chef";
    const { leaves, ...rest } = to;
    await tx
      .update(person)
      .set({ ...rest, ...(leaves && { leftAt: change.now }) })
      .where(eq(person.id, id));
    if (leaves) await tx.delete(session).where(eq(session.personId, id));
    await recordAudit(tx, { ...change, what: "person", subject: id, detail: { name: found.name, ...to } });
    return "changed";
  });
}

import { and, desc, eq, isNull, ne } from "drizzle-orm";
import { recordAudit } from "./audit";
import type { Change } from "./change-row";
import type { Database, Queries } from "./connection";
import { photo, referencePhoto, run } from "./schema";

export async function keepPhoto(db: Queries, kept: typeof photo.$inferInsert): Promise<void> {
  await db.insert(photo).ignore().values(kept);
}

export async function findPhoto(db: Queries, kitchenId: string, id: string): Promise<Buffer | null> {
  const [found] = await db
    .select({ jpeg: photo.jpeg })
    .from(photo)
    .where(and(eq(photo.kitchenId, kitchenId), eq(photo.id, id)));
  return found?.jpeg ?? null;
}

/** Pictures of the same step in other batches of a formula, the latest first. */
export const photosBefore = (
  db: Queries,
  of: {
    readonly kitchenId: string;
    readonly formulaId: string;
    readonly stepId: string;
    readonly runId: string;
  },
  most: number,
): Promise<{ id: string; at: Date }[]> =>
  db
    .select({ id: photo.id, at: photo.at })
    .from(photo)
    .innerJoin(run, eq(run.id, photo.runId))
    .where(
      and(
        eq(photo.kitchenId, of.kitchenId),
        eq(photo.formulaId, of.formulaId),
        eq(photo.stepId, of.stepId),
        ne(photo.runId, of.runId),
        isNull(run.rehearsal),
      ),
    )
    .orderBy(desc(photo.at))
    .limit(most);

export type ReferenceFor = (typeof referencePhoto.$inferSelect)["what"];

/** The pictures a sauce is held against. */
export const referencePhotos = (
  db: Queries,
  kitchenId: string,
  formulaId: string,
): Promise<{ what: ReferenceFor; photoId: string; at: Date }[]> =>
  db
    .select({ what: referencePhoto.what, photoId: referencePhoto.photoId, at: photo.at })
    .from(referencePhoto)
    .innerJoin(photo, eq(photo.id, referencePhoto.photoId))
    .where(and(eq(referencePhoto.kitchenId, kitchenId), eq(referencePhoto.formulaId, formulaId)));

/** Holds a sauce against a picture of one of its batches from now on. @returns whether there is such a picture */
export const holdAgainst = (
  db: Database,
  change: Change,
  of: { readonly formulaId: string; readonly what: ReferenceFor; readonly photoId: string },
): Promise<boolean> =>
  db.transaction(async tx => {
    const { kitchenId, personId, now } = change;
    const [own] = await tx
      .select({ id: photo.id })
      .from(photo)
      .where(
        and(eq(photo.id, of.photoId), eq(photo.kitchenId, kitchenId), eq(photo.formulaId, of.formulaId)),
      );
    if (!own) return false;
    await tx
      .insert(referencePhoto)
      .values({ ...of, kitchenId, personId, at: now })
      .onDuplicateKeyUpdate({ set: { photoId: of.photoId, personId, at: now } });
    await recordAudit(tx, { ...change, what: "reference photo", subject: of.formulaId, detail: { ...of } });
    return true;
  });

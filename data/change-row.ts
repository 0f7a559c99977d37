import { type AuditVerb, recordAudit } from "./audit";
import type { Queries, Transacting } from "./connection";
import { inKitchen } from "./in-kitchen";
import { type Kept, markOf } from "./seen";

/** Who changes something, where and when. */
export interface Change {
  readonly kitchenId: string;
  readonly personId: string;
  readonly now: Date;
}

/**
 * Changes a thing of the kitchen that several people may have before them: it is read with its row held, compared with
 * what whoever changes it was shown, written, and booked.
 *
 * @param of.seen mark of what was shown; left out where nobody was shown anything, as when a kitchen is set up
 * @returns what somebody else has kept since, where that is something else; nothing is written then
 */
export const changeRow = <T>(
  db: Transacting,
  change: Change,
  of: {
    readonly read: (tx: Queries) => Promise<T>;
    readonly seen: string | undefined;
    readonly write: (tx: Queries, theirs: T) => Promise<unknown>;
    readonly verb: AuditVerb;
    readonly subject: string;
    readonly detail: (theirs: T) => Record<string, unknown>;
  },
): Promise<Kept<NonNullable<T>>> =>
  inKitchen<Kept<NonNullable<T>>>(
    db,
    change.kitchenId,
    async tx => {
      const theirs = await of.read(tx);
      // What is not there yet nobody else has changed.
      if (theirs !== null && theirs !== undefined && of.seen !== undefined && markOf(theirs) !== of.seen)
        return { kept: false, theirs };
      await of.write(tx, theirs);
      await recordAudit(tx, {
        ...change,
        what: of.verb,
        subject: of.subject,
        detail: of.detail(theirs),
      });
      return { kept: true };
    },
    done => done.kept,
  );

import { sql } from "drizzle-orm";
import type { Database } from "./connection";

/**
 * Fills what batches of an older archive leave out from their runs and readings, as migration 0017 did for those that were
 * here. Where nothing is left out it changes nothing.
 */
export async function completeBatches(db: Pick<Database, "execute">): Promise<void> {
  const bare = sql`select run_id from batch where formula_id = ''`;
  await db.execute(sql`
    insert ignore into batch_line (run_id, place, kitchen_id, formula_id, line_id, mass_g, base_g, at)
    select e.run_id, row_number() over (partition by e.run_id order by e.at, e.id) - 1, e.kitchen_id, r.formula_id,
      json_value(e.payload, '$.lineId'), json_value(e.payload, '$.massG'), r.base_g, b.finished_at
    from run_event e
    inner join run r on r.id = e.run_id
    inner join batch b on b.run_id = e.run_id
    where e.run_id in (${bare}) and e.kind = 'added' and json_value(e.payload, '$.massG') is not null
      and not exists (
        select 1 from run_event u
        where u.run_id = e.run_id and u.kind = 'undone' and json_value(u.payload, '$.eventId') = e.id
      )`);
  await db.execute(sql`
    update batch b inner join run r on r.id = b.run_id set
      b.formula_id = r.formula_id,
      b.person_id = r.started_by,
      b.burner_id = r.burner_id,
      b.body_planned = json_value(b.record, '$.thickness.planned'),
      b.body = json_value(b.record, '$.thickness.actual'),
      b.score = json_value(b.record, '$.score'),
      b.incidents = coalesce(json_length(b.record, '$.incidents'), 0)
    where b.formula_id = ''`);
}

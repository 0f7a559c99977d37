import type { Connection } from "mysql2/promise";
import { STOCK_ID } from "../demo/formulas";
import { KITCHEN_ID } from "../demo/kitchen";

/** Names that a search tells apart. */
const WORD = "ELT(1 + seq MOD 7, 'veloute', 'glaze', 'stock', 'butter', 'bisque', 'gravy', 'coulis')";

/** Makes the demo kitchen a large one: 5 000 ingredients, 5 000 formulas and 20 000 finished runs more, all invented. */
export async function makeLarge(connection: Connection): Promise<void> {
  const of = [KITCHEN_ID];
  await connection.query(
    `INSERT INTO ingredient (kitchen_id, id, name, document)
     SELECT kitchen_id, CONCAT('made-', seq), CONCAT('made ingredient ', seq),
            JSON_SET(document, '$.id', CONCAT('made-', seq), '$.name', CONCAT('made ingredient ', seq), '$.aliases', JSON_ARRAY())
     FROM ingredient JOIN seq_1_to_5000 WHERE kitchen_id = ? AND id = 'shallot'`,
    of,
  );
  await connection.query(
    `INSERT INTO formula (id, kitchen_id, name, current_version_id, row_version)
     SELECT CONCAT('made-', seq), kitchen_id, CONCAT('Made ', ${WORD}, ' ', seq), CONCAT('made-version-', seq), 1
     FROM formula JOIN seq_1_to_5000 WHERE kitchen_id = ? AND id = '${STOCK_ID}'`,
    of,
  );
  await connection.query(
    `INSERT INTO formula_version (id, kitchen_id, formula_id, number, state, document, checksum, searched, edited_by, edited_at, frozen_at, shelved_at, basis_hash)
     SELECT CONCAT('made-version-', seq), v.kitchen_id, CONCAT('made-', seq), 1, 'draft',
            JSON_SET(v.document, '$.name', CONCAT('Made ', ${WORD}, ' ', seq)), v.checksum,
            CONCAT(v.searched, ' w_made w_', ${WORD}, ' w_', seq, IF(seq MOD 3, '', ' i_butter'), IF(seq MOD 5, '', ' i_cream')), v.edited_by, v.edited_at, v.frozen_at, NOW(3), v.basis_hash
     FROM formula f JOIN formula_version v ON v.id = f.current_version_id JOIN seq_1_to_5000
     WHERE f.kitchen_id = ? AND f.id = '${STOCK_ID}'`,
    of,
  );
  await connection.query(
    `INSERT INTO run (id, kitchen_id, formula_id, formula_version_id, base_g, burner_id, started_by, started_at, finished_at)
     SELECT CONCAT('made-run-', seq), ?, CONCAT('made-', 1 + seq MOD 5000), CONCAT('made-version-', 1 + seq MOD 5000),
            8600, 'open-1', 'noor', NOW(3) - INTERVAL seq HOUR, NOW(3) - INTERVAL seq HOUR
     FROM seq_1_to_50000`,
    of,
  );
  await connection.query(
    `INSERT INTO batch (run_id, kitchen_id, formula_id, person_id, burner_id, formula_version_id, base_g, planned_ml, actual_ml, finished_at, record)
     SELECT id, kitchen_id, formula_id, started_by, burner_id, formula_version_id, base_g, 9000, 8800, finished_at,
            '{"startedAt":null,"finishedAt":null,"steps":[],"yieldMl":{"what":"yield","unit":"ml","planned":9000,"actual":8800,"deviation":-0.02},"yieldG":{"what":"yield","unit":"g","planned":9000,"actual":null,"deviation":null},"minutes":{"what":"time","unit":"min","planned":300,"actual":310,"deviation":0.03},"strainYield":null}'
     FROM run WHERE kitchen_id = ? AND id LIKE 'made-run-%'`,
    of,
  );
  await connection.query(
    "UPDATE kitchen SET revision = revision + 1, names_revision = names_revision + 1 WHERE id = ?",
    of,
  );
}

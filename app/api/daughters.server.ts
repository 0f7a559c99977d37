import { data } from "react-router";
import { linesOf, openKitchen, walk } from "~/core/formula";
import { database, documentsOf, drawingOn, findFormula, listVersions } from "~/data";
import { kitchenFor } from "../kitchen/kitchen.server";
import { requirePerson } from "../people/person.server";
import { impactInPool } from "../workers/pool.server";
import type { Route } from "./+types/daughters";

/**
 * What is made of a formula: how much each draws, and what has changed for it since the version that was signed last, or
 * kept last. They draw on what stands here now.
 */
export async function loader({ context, params, request }: Route.LoaderArgs) {
  const section = requirePerson(context, request);
  const { kitchenId } = section;
  const { db } = database();
  const id = params.formulaId;
  const stored = await findFormula(db, kitchenId, id);
  if (!stored) throw data("There is no such formula in this kitchen.", { status: 404 });
  const ids = (await drawingOn(db, kitchenId, [id])).filter(other => other !== id);
  const daughters = await documentsOf(db, kitchenId, ids);
  const kitchen = await kitchenFor(section, [stored.document, ...Object.values(daughters)]);
  const whole = { ...kitchen, formulas: { ...kitchen.formulas, ...daughters, [id]: stored.document } };
  const opened = openKitchen(whole);
  const versions = await listVersions(db, kitchenId, id);
  const earlier = versions.filter(v => v.versionId !== stored.versionId);
  const against = earlier.find(v => v.state === "standard") ?? earlier.find(v => v.frozen) ?? null;
  return {
    draws: Object.entries(daughters).map(([of, document]) => {
      const drawsG = new Map(
        linesOf(document).flatMap(line =>
          "formula" in line.of && line.of.formula === id ? [[line.id, 0]] : [],
        ),
      );
      for (const { lines } of walk(document, opened).states)
        for (const line of lines) if (drawsG.has(line.lineId)) drawsG.set(line.lineId, line.massG);
      const wantG = [...drawsG.values()].reduce((sum, massG) => sum + massG, 0);
      return { id: of, name: document.name, wantG, direct: drawsG.size > 0 };
    }),
    against: against && { number: against.number, state: against.state },
    moved: against && ids.length ? await impactInPool(whole, id, against.document, stored.document) : [],
  };
}

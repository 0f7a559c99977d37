import { stringify } from "csv-stringify/sync";
import { bundleOf, cardAsMarkdown, formulaAsRecipe, linesTable, writeBundle } from "~/core/exchange";
import { type KitchenData, openKitchen, walk } from "~/core/formula";
import { cardOf } from "~/core/standard";
import { database, documentsOf } from "~/data";
import { kitchenFor } from "../kitchen/kitchen.server";
import { requirePerson } from "../people/person.server";
import type { Route } from "./+types/formula-file";
import { problemJson } from "./problem.server";
import { formulaIn } from "~/core/formula";

type Writer = (id: string, kitchen: KitchenData) => string;

const opened = (id: string, kitchen: KitchenData) => {
  const document = formulaIn(kitchen, id);
  if (!document) throw problemJson(404, "Not found", `There is no formula “${id}” in this kitchen.`);
  const open = openKitchen(kitchen);
  return { document, open, walked: walk(document, open) };
};

const FILES: Readonly<Record<string, { readonly type: string; readonly write: Writer }>> = {
  json: { type: "application/json", write: (id, kitchen) => writeBundle(bundleOf([id], kitchen)) },
  md: {
    type: "text/markdown",
    write: (id, kitchen) => {
      const { document, open, walked } = opened(id, kitchen);
      return cardAsMarkdown(cardOf(document, open, [], walked), bundleOf([id], kitchen));
    },
  },
  csv: {
    type: "text/csv",
    write: (id, kitchen) => {
      const { document, walked } = opened(id, kitchen);
      return stringify([...linesTable(document, walked)], { header: true, bom: true, escape_formulas: true });
    },
  },
  jsonld: {
    type: "application/ld+json",
    write: (id, kitchen) => {
      const { document, walked } = opened(id, kitchen);
      return `${JSON.stringify(formulaAsRecipe(document, walked, bundleOf([id], kitchen)), null, 2)}\n`;
    },
  },
};

/** One formula as a file: `ID.json` whole, `ID.md` to read, `ID.csv` its lines, `ID.jsonld` for other programs. */
export async function loader({ context, params, request }: Route.LoaderArgs) {
  const section = requirePerson(context, request);
  const dot = params.file.lastIndexOf(".");
  const [id, ending] = [params.file.slice(0, dot), params.file.slice(dot + 1)];
  const file = FILES[ending];
  if (dot < 1 || !file)
    return problemJson(404, "Not found", "Ask for a formula as ID.json, ID.md, ID.csv or ID.jsonld.");
  const formulas = await documentsOf(database().db, section.kitchenId, [id]);
  const document = formulaIn({ formulas }, id);
  if (!document) return problemJson(404, "Not found", `There is no formula “${id}” in this kitchen.`);
  const kitchen = await kitchenFor(section, [document]);
  const whole = { ...kitchen, formulas: { ...kitchen.formulas, [id]: document } };
  return new Response(file.write(id, whole), {
    headers: {
      "Content-Type": `${file.type}; charset=utf-8`,
      "Content-Disposition": `attachment; filename="${id}.${ending}"`,
    },
  });
}

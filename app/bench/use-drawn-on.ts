import { useEffect, useState } from "react";
import { readBundle } from "~/core/exchange";
import { type FormulaDocument, type KitchenData, linesOf } from "~/core/formula";

type Formulas = KitchenData["formulas"];

/**
 * What a formula draws on: sent with the page, and fetched for a line that begins to draw on another while it is edited.
 * Until it has come the line says that it is not here.
 */
export function useDrawnOn(document: FormulaDocument, sent: Formulas): Formulas {
  const [known, setKnown] = useState(sent);
  const missing = linesOf(document)
    .flatMap(line => ("formula" in line.of ? [line.of.formula] : []))
    .find(id => !Object.hasOwn(known, id));
  useEffect(() => {
    if (missing === undefined) return;
    const gone = new AbortController();
    fetch(`/api/formulas/${encodeURIComponent(missing)}.json`, { signal: gone.signal })
      .then(async answer => {
        const bundle = answer.ok ? readBundle(await answer.text()) : null;
        if (!bundle?.ok || gone.signal.aborted) return;
        const came = Object.fromEntries(bundle.value.formulas.map(f => [f.id, f.document]));
        setKnown(all => ({ ...all, ...came }));
      })
      .catch(() => {
        // Without a network the line goes on saying that it is not here.
      });
    return () => gone.abort();
  }, [missing]);
  return known;
}

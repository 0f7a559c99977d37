import { Link } from "react-router";
import { printNumber } from "~/core/ground/quantity";
import type { Route } from "./+types/import";
import { Button } from "../ui/button";
import type { ImportPreview } from "./exchange.server";
import { LyingJar } from "./jar";
import { EditForm } from "../people/edit-form";
import { useKeptReply } from "../ui/use-kept-reply";

export { action, loader } from "./import.server";
export { PageError as ErrorBoundary } from "../ui/page-error";

export const meta: Route.MetaFunction = () => [{ title: "Bring in · Larder · Hondaro" }];

export default function Import({ actionData }: Route.ComponentProps) {
  const reply = useKeptReply(actionData);
  const preview = reply?.preview;
  return (
    <main className="mx-auto max-w-5xl px-4 py-6 sm:px-6">
      <p>
        <Link to="/larder" className="text-faded hover:text-copper">
          ← Larder
        </Link>
      </p>
      <h1 className="mt-1 text-3xl">Bring ingredients in</h1>
      <p className="mt-1 max-w-2xl text-faded">
        A CSV with a heading, or the JSON another Hondaro gave out. You see every row first; nothing is
        written until all of them hold, and then all at once.
      </p>
      <EditForm encType="multipart/form-data" className="mt-5">
        <label className="block">
          <span className="text-sm text-faded">A file</span>
          <input
            type="file"
            name="file"
            accept=".csv,.json,text/csv,application/json"
            className="mt-1 block w-full max-w-xl rounded-md border border-rule bg-enamel p-2 file:mr-3 file:rounded-md file:border-0 file:bg-linen file:px-3 file:py-1.5 file:font-semibold"
          />
        </label>
        <label className="mt-4 block">
          <span className="text-sm text-faded">or pasted here</span>
          <textarea
            name="text"
            rows={8}
            spellCheck={false}
            defaultValue={reply?.pasted}
            placeholder={"name,water,fat,protein,sugars,salt,other\nsea buckthorn juice,86,5,0.7,3,0,5.3"}
            className="mt-1 w-full rounded-md border border-rule bg-enamel p-3 font-mono text-sm"
          />
        </label>
        <Button type="submit" look={preview ? "plain" : "act"} className="mt-3">
          Look it over
        </Button>
        {preview && <Preview preview={preview} changes={reply.changes} />}
      </EditForm>
    </main>
  );
}

function Preview({ preview, changes }: { preview: ImportPreview; changes: number }) {
  const refused = preview.rows.filter(row => !row.ingredient);
  const ready = preview.rows.length - refused.length;
  if (preview.broken)
    return (
      <p role="alert" className="mt-5 text-beet">
        ✕ {preview.broken}
      </p>
    );
  return (
    <section aria-label="Preview" className="mt-6">
      <h2 className="text-xl">
        {printNumber(ready)} ready
        {refused.length > 0 && <span className="text-beet">, {printNumber(refused.length)} refused</span>}
      </h2>
      <p className="text-faded">
        {printNumber(ready - changes)} new, {printNumber(changes)} replacing what the larder has.
        {refused.length > 0 && " Mend the refused rows above; until then nothing is brought in."}
      </p>
      <ul className="mt-3 divide-y divide-rule border-y border-rule">
        {[...refused, ...preview.rows.filter(row => row.ingredient)].slice(0, 300).map(row => (
          <li
            key={row.row}
            className="grid grid-cols-[3.5rem_minmax(0,14rem)_minmax(0,1fr)] items-center gap-3 py-1.5"
          >
            <span className="text-sm text-faded">row {row.row}</span>
            <span className="font-semibold">{row.name}</span>
            {row.ingredient ? (
              <span>
                <LyingJar composition={row.ingredient.composition} />
                {row.doubts.map(doubt => (
                  <span key={doubt} className="block text-sm text-saffron-ink">
                    ▲ {doubt}
                  </span>
                ))}
              </span>
            ) : (
              <span role="alert" className="text-sm text-beet">
                {row.problems.map(p => (
                  <span key={`${p.field} ${p.message}`} className="block">
                    ✕ {p.message}
                  </span>
                ))}
              </span>
            )}
          </li>
        ))}
      </ul>
      {refused.length === 0 && ready > 0 && (
        <Button type="submit" name="intent" value="import" look="act" className="mt-4">
          Bring {ready === 1 ? "it" : `all ${printNumber(ready)}`} in
        </Button>
      )}
    </section>
  );
}

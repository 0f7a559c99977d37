import { Link } from "react-router";
import type { CalibrationDay } from "~/core/learning";

/** The first week: what to read so that body comes out as it does here, and how far it has come. */
export function FirstWeek({ week }: { week: readonly (CalibrationDay & { readonly done: number })[] }) {
  const left = week.filter(day => day.done < day.wanted);
  return (
    <section aria-label="The first week" className="mt-10 rounded-xl border border-rule bg-enamel p-5">
      <h2 className="text-xl">The first week</h2>
      <p className="max-w-prose text-faded">
        {left.length === 0
          ? "All of it is read: from here on the kitchen’s own batches keep it true."
          : "A dozen readings make body this kitchen’s own: it is then right to a few points instead of seven. Cook each on the Stove, read it, and type the reading under “Read it” on the Bench."}
      </p>
      <ol className="mt-4 grid gap-4 sm:grid-cols-2 lg:grid-cols-5">
        {week.map(day => {
          const done = day.wanted > 0 && day.done >= day.wanted;
          return (
            <li key={day.id} className={done ? "text-faded" : ""}>
              <h3 className="font-sans text-base font-semibold">
                {done ? "✓ " : ""}
                {day.title}
              </h3>
              {day.wanted > 0 && (
                <p className="flex items-center gap-1 py-1 text-sm text-faded">
                  {Array.from({ length: day.wanted }, (_, i) => (
                    <span
                      key={i}
                      className={`h-2 w-8 rounded-full ${i < day.done ? "bg-sorrel" : "bg-linen"}`}
                      aria-hidden
                    />
                  ))}
                  {Math.min(day.done, day.wanted)} of {day.wanted} read
                </p>
              )}
              {day.todo.map(line => (
                <p key={line} className="text-sm">
                  {line}
                </p>
              ))}
              {!done && day.wanted > 0 && (
                <Link
                  to={`/bench/new/${day.families[0] ?? ""}`}
                  className="text-sm underline underline-offset-4 hover:text-copper"
                >
                  Begin one
                </Link>
              )}
            </li>
          );
        })}
      </ol>
    </section>
  );
}

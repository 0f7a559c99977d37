import type { Card, Column } from "~/core/standard";
import { type Display, massFor } from "~/core/things/house";
import { mm, printDuration, printLength, printVolume } from "~/core/ground/quantity";

/** One batch size beside the other: what does not multiply is put right in each, and every pot has its own marks. */
export function Columns({
  card,
  columns,
  display,
}: {
  card: Card;
  columns: readonly Column[];
  display: Display;
}) {
  return (
    <section aria-label="Batch sizes" className="keep mt-5 overflow-x-auto border-t border-rule pt-4">
      <h2 className="text-lg">Batch sizes</h2>
      {columns.some(c => c.plain) && (
        <p className="text-sm text-saffron-ink">
          ▲ × is multiplied plainly: steam, fond and strong seasoning are not put right there.
        </p>
      )}
      <table className="mt-2 w-full text-sm">
        <thead>
          <tr className="border-b-2 border-ink text-left align-bottom">
            <th />
            {columns.map(column => (
              <th key={column.title} scope="col" className="py-1 pl-3 text-right font-display text-base">
                {column.title}
                {column.batches > 1 && (
                  <span className="block text-xs font-normal text-faded">
                    {column.batches} batches; figures of one
                  </span>
                )}
              </th>
            ))}
          </tr>
        </thead>
        {card.steps.map((step, index) => {
          const stops = columns.some(c => c.steps[step.id]?.stop);
          const computed = [...new Set(columns.flatMap(c => Object.keys(c.steps[step.id]?.computed ?? {})))];
          if (!stops && !computed.length && !step.lines.length) return null;
          return (
            <tbody key={step.id} className="border-b border-rule align-top">
              {step.lines.map((line, i) => (
                <tr key={line.lineId}>
                  <th scope="row" className="py-0.5 text-left font-normal">
                    {i === 0 && <span className="mr-2 text-faded">{index + 1}</span>}
                    {line.name}
                  </th>
                  {columns.map(column => (
                    <td key={column.title} className="pl-3 text-right font-bold whitespace-nowrap">
                      {column.lines[line.lineId] === undefined
                        ? "–"
                        : massFor(display, column.lines[line.lineId] ?? line.massG, line.densityGPerMl)}
                    </td>
                  ))}
                </tr>
              ))}
              {computed.map(what => (
                <tr key={what}>
                  <th scope="row" className="py-0.5 text-left font-normal">
                    {what}, about
                  </th>
                  {columns.map(column => {
                    const massG = column.steps[step.id]?.computed[what];
                    return (
                      <td key={column.title} className="pl-3 text-right whitespace-nowrap">
                        {massG === undefined ? "–" : massFor(display, massG)}
                      </td>
                    );
                  })}
                </tr>
              ))}
              {stops && (
                <tr>
                  <th scope="row" className="py-0.5 text-left font-normal">
                    {step.lines.length === 0 && <span className="mr-2 text-faded">{index + 1}</span>}
                    {step.title}: stop at
                  </th>
                  {columns.map(column => {
                    const of = column.steps[step.id];
                    return (
                      <td key={column.title} className="pl-3 text-right whitespace-nowrap">
                        {of?.stop ? (
                          <>
                            <b>{printLength(mm(of.stop.markMm))}</b>
                            <span className="block text-xs text-faded">
                              {massFor(display, of.stop.grossG)} with {of.vesselName}
                            </span>
                            <span className="block text-xs text-faded">
                              about {printDuration(of.durationS)}
                            </span>
                          </>
                        ) : (
                          "–"
                        )}
                      </td>
                    );
                  })}
                </tr>
              )}
            </tbody>
          );
        })}
        <tbody>
          <tr>
            <th scope="row" className="py-1 text-left">
              gives
            </th>
            {columns.map(column => (
              <td key={column.title} className="pl-3 text-right font-bold whitespace-nowrap">
                {printVolume(column.finishedMl)}
                <span className="block text-xs font-normal text-faded">
                  in {printDuration(column.totalS)}
                </span>
              </td>
            ))}
          </tr>
        </tbody>
      </table>
    </section>
  );
}

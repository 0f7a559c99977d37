import type { OutcomeRow } from "~/core/formula";
import { printNumber } from "~/core/ground/quantity";

/** What comes out of several versions, side by side; the last column says by how much the last differs from the first. */
export function OutcomeTable({ rows, names }: { rows: readonly OutcomeRow[]; names: readonly string[] }) {
  return (
    <table className="w-full text-sm">
      <thead>
        <tr className="border-b border-ink text-right text-xs text-faded">
          <th className="text-left font-normal">what comes out</th>
          {names.map(name => (
            <th key={name} className="font-normal">
              {name}
            </th>
          ))}
          <th className="font-normal">differs by</th>
        </tr>
      </thead>
      <tbody>
        {rows.map(row => {
          const [a, b] = [row.values[0] ?? null, row.values.at(-1) ?? null];
          const by = a !== null && b !== null ? b - a : null;
          const same = by === null || Math.abs(by) < 0.5 * 10 ** -row.decimals;
          return (
            <tr key={row.what + row.unit} className={`border-b border-rule ${same ? "text-faded" : ""}`}>
              <th scope="row" className="py-1 text-left font-normal">
                {row.what}
                {row.unit && <span className="text-faded">, {row.unit}</span>}
              </th>
              {row.values.map((value, i) => (
                <td key={i} className="text-right">
                  {value === null ? "–" : printNumber(value, row.decimals)}
                </td>
              ))}
              <td className={`text-right ${same ? "" : "font-bold"}`}>
                {same ? "same" : `${by > 0 ? "+" : "−"}${printNumber(Math.abs(by), row.decimals)}`}
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

import { printNumber } from "~/core/ground/quantity";
import type { Problem } from "~/core/ground/result";
import type { PricePoint } from "~/data";
import { Button } from "../ui/button";
import { sourceWords } from "./source-words";
import { EditForm } from "../people/edit-form";

const WIDTH = 280;
const HEIGHT = 64;
const PAD = 8;

/** What was paid since when: a line of steps, and a place for the next price. */
export function PriceCard({
  prices,
  seen,
  problems,
}: {
  prices: readonly PricePoint[];
  /** Mark of the prices as they are shown. */
  seen: string;
  problems: readonly Problem[];
}) {
  const [latest] = prices;
  const problemOf = (field: string) => problems.find(p => p.field === field);
  return (
    <section aria-label="Price" className="border-t border-rule pt-4">
      <h2 className="text-xl">Price</h2>
      {latest ? (
        <p>
          <span className="font-display text-2xl font-semibold">{printNumber(latest.perKg, 2)}</span>{" "}
          {latest.currency} per kg since {latest.since}
          <span className="block text-xs text-faded">{sourceWords(latest.source)}</span>
        </p>
      ) : (
        <p className="text-faded">Nobody has noted a price yet.</p>
      )}
      {prices.length > 1 && <Steps prices={[...prices].reverse()} />}
      <EditForm className="mt-3 grid grid-cols-[5rem_4rem_1fr] gap-2">
        <input type="hidden" name="intent" value="price" />
        <input type="hidden" name="seen" value={seen} />
        {(
          [
            ["perKg", "per kg", ""],
            ["currency", "in", latest?.currency ?? "EUR"],
            ["since", "from (day)", ""],
          ] as const
        ).map(([name, label, value]) => (
          <label key={name} className="min-w-0 text-sm text-faded">
            {label}
            <input
              name={name}
              defaultValue={value}
              autoComplete="off"
              placeholder={name === "since" ? "2026-11-23" : undefined}
              aria-invalid={problemOf(name) ? true : undefined}
              className={`w-full rounded-md border bg-enamel px-2 py-1 text-ink ${problemOf(name) ? "border-beet" : "border-rule"}`}
            />
          </label>
        ))}
        {problems
          .filter(p => ["perKg", "currency", "since"].includes(p.field))
          .map(p => (
            <p key={p.field} role="alert" className="col-span-3 text-sm text-beet">
              ✕ {p.message}
            </p>
          ))}
        <Button type="submit" className="col-span-3 justify-self-start">
          Note this price
        </Button>
      </EditForm>
    </section>
  );
}

function Steps({ prices }: { prices: readonly PricePoint[] }) {
  const times = prices.map(p => Date.parse(p.since));
  const [from = 0, to = 1] = [times[0], times.at(-1)];
  const most = Math.max(...prices.map(p => p.perKg));
  const least = Math.min(...prices.map(p => p.perKg));
  const span = Math.max(most - least, most * 0.1);
  const x = (t: number) => PAD + ((t - from) / Math.max(1, to - from)) * (WIDTH - 60 - PAD);
  const y = (v: number) => HEIGHT - PAD - ((v - least) / span) * (HEIGHT - 2 * PAD);
  const path = prices
    .map(
      (p, i) =>
        `${i === 0 ? "M" : "H"}${i === 0 ? `${x(times[i] ?? 0)},${y(p.perKg)}` : `${x(times[i] ?? 0)}V${y(p.perKg)}`}`,
    )
    .join("");
  return (
    <figure className="mt-2">
      <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} className="w-full max-w-72" aria-hidden="true">
        <path d={`${path}H${WIDTH - 44}`} fill="none" stroke="#a9502a" strokeWidth={2.5} />
        {prices.map((p, i) => (
          <circle key={p.since} cx={x(times[i] ?? 0)} cy={y(p.perKg)} r={3.5} fill="#a9502a" />
        ))}
        <text x={WIDTH - 40} y={y(prices.at(-1)?.perKg ?? 0) + 5} fontSize={14} fill="#231f2b">
          {printNumber(prices.at(-1)?.perKg ?? 0, 2)}
        </text>
      </svg>
      <details className="text-sm text-faded">
        <summary>All {prices.length} prices</summary>
        <ul>
          {[...prices].reverse().map(p => (
            <li key={p.since}>
              {p.since}: {printNumber(p.perKg, 2)} {p.currency}
            </li>
          ))}
        </ul>
      </details>
    </figure>
  );
}

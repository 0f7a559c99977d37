import { useFetcher } from "react-router";
import type { Display } from "~/core/things/house";

const CHOICES: readonly (readonly [words: string, display: Display])[] = [
  ["grams", { units: "metric", roundG: 1 }],
  ["grams, to 5 g", { units: "metric", roundG: 5 }],
  ["grams, to 10 g", { units: "metric", roundG: 10 }],
  ["pounds and ounces, to ¼ oz", { units: "us", roundG: 1 }],
];

/** How this cook wants amounts shown; it is kept for every card. The sums stay in grams. */
export function DisplayForm({ display }: { display: Display }) {
  const fetcher = useFetcher();
  const chosen = CHOICES.findIndex(([, d]) =>
    d.units === "us" ? display.units === "us" : display.units === "metric" && d.roundG === display.roundG,
  );
  return (
    <label className="text-xs text-faded">
      amounts for me in
      <select
        value={chosen}
        onChange={event => {
          const [, next] = CHOICES[Number(event.currentTarget.value)] ?? [];
          if (next)
            void fetcher.submit({ units: next.units, roundG: String(next.roundG) }, { method: "post" });
        }}
        className="mt-0.5 block rounded-md border border-rule bg-enamel px-2 py-2 text-base text-ink"
      >
        {CHOICES.map(([words], i) => (
          <option key={words} value={i}>
            {words}
          </option>
        ))}
      </select>
    </label>
  );
}

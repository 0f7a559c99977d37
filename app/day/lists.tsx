import clsx from "clsx";
import { useState } from "react";
import { useFetcher } from "react-router";
import { printNumber } from "~/core/ground/quantity";
import { useKitchenWith } from "../kitchen/context";
import { useMay } from "../people/use-may";
import { clockTime } from "../text/format";
import type { Route } from "./+types/lists";
import { dayInWords } from "./calendar-day";
import { DayTabs } from "./day-tabs";

export { action, loader } from "./lists.server";
export { PageError as ErrorBoundary } from "../ui/page-error";

export const meta: Route.MetaFunction = ({ params }) => [
  { title: `Lists for ${dayInWords(params.date)} · Hondaro` },
];

const NO_FORMULAS = {} as const;
const kg = (g: number): string =>
  g >= 1000 ? `${printNumber(g / 1000, 2)} kg` : `${printNumber(g, g < 10 ? 1 : 0)} g`;

/** What to buy, to weigh and peel, to lay out, and how much ice: one list over all pots, ticked on a phone. */
export default function Lists({ loaderData }: Route.ComponentProps) {
  const { date, lists, problems, ticks, people } = loaderData;
  const { timeZone } = useKitchenWith(NO_FORMULAS);
  const [left, setLeft] = useState(false);
  const said = (item: string): string | null => {
    const found = ticks[item];
    return found
      ? `${people.find(p => p.id === found.by)?.name.split(" ")[0] ?? "somebody"}, ${clockTime(new Date(found.at), timeZone)}`
      : null;
  };
  const total = lists?.buy.reduce((sum, item) => sum + (item.cost ?? 0), 0) ?? 0;
  const iceG = lists?.ice.reduce((sum, item) => sum + item.iceG, 0) ?? 0;
  const row = { date, said, left };
  return (
    <main className="mx-auto max-w-6xl px-4 py-5 sm:px-6">
      <DayTabs date={date}>
        <label className="inline-flex items-center gap-2 text-sm">
          <input
            type="checkbox"
            checked={left}
            onChange={e => setLeft(e.target.checked)}
            className="size-4 accent-copper"
          />
          only what is left
        </label>
        <a
          href={`/day/${date}/order.csv`}
          download
          className="text-sm text-faded underline underline-offset-4 hover:text-copper"
        >
          The order as a table
        </a>
      </DayTabs>
      {problems.map(problem => (
        <p key={problem} role="alert" className="mt-3 text-beet">
          ✕ {problem}
        </p>
      ))}
      {lists && lists.buy.length === 0 && (
        <p className="mt-6 text-faded">
          Nothing has to be bought: put sauces on the menu first, or all of it stands in the cold.
        </p>
      )}
      {lists && lists.buy.length > 0 && (
        <div className="mt-5 grid gap-8 md:grid-cols-2">
          <section aria-label="To buy">
            <h2 className="text-xl">To buy</h2>
            <p className="text-sm text-faded">
              As it is bought, trim and peel included; whole packs where it is sold in them.
              {total > 0 && ` What has a price comes to ${printNumber(total, 2)} ${lists.currency}.`}
            </p>
            <ul className="mt-2">
              {lists.buy
                .filter(item => !item.fromTap)
                .map(item => (
                  <Item
                    key={item.ingredientId}
                    {...row}
                    item={`buy ${item.ingredientId}`}
                    name={item.name}
                    amount={kg(item.purchasedG)}
                    more={[
                      item.packs &&
                        `${printNumber(item.packs.count)} × ${item.packs.name} of ${kg(item.packs.massG)}`,
                      item.cost !== null && `${printNumber(item.cost, 2)} ${lists.currency}`,
                    ]
                      .filter(Boolean)
                      .join(" · ")}
                  />
                ))}
            </ul>
          </section>
          <div className="flex flex-col gap-8">
            <section aria-label="To weigh and peel">
              <h2 className="text-xl">To weigh and peel</h2>
              <p className="text-sm text-faded">Ready for the pot, each sauce in its own bowl.</p>
              <ul className="mt-2">
                {lists.buy.map(item => (
                  <Item
                    key={item.ingredientId}
                    {...row}
                    item={`weigh ${item.ingredientId}`}
                    name={item.name}
                    amount={kg(item.netG)}
                    more={
                      item.uses.length > 1 || item.uses[0]?.name !== item.name
                        ? item.uses.map(u => `${u.name} ${kg(u.massG)}`).join(" · ")
                        : ""
                    }
                  />
                ))}
              </ul>
            </section>
            <section aria-label="Pots and tools">
              <h2 className="text-xl">Pots and tools</h2>
              <ul className="mt-2">
                {lists.tools.map(tool => (
                  <Item
                    key={tool.what}
                    {...row}
                    item={`tool ${tool.what}`}
                    name={tool.what}
                    amount=""
                    more={tool.for.join(" · ")}
                  />
                ))}
              </ul>
            </section>
            {iceG > 0 && (
              <section aria-label="Ice">
                <h2 className="text-xl">Ice</h2>
                <p className="text-sm text-faded">
                  {kg(iceG)} in all, a third of it kept in hand. One sink that is used twice needs it twice.
                </p>
                <ul className="mt-2">
                  {lists.ice.map((item, i) => (
                    <Item
                      key={`${item.name}${i}`}
                      {...row}
                      item={`ice ${i} ${item.name}`}
                      name={item.name}
                      amount={kg(item.iceG)}
                      more={`for ${kg(item.massG)}`}
                    />
                  ))}
                </ul>
              </section>
            )}
          </div>
        </div>
      )}
    </main>
  );
}

function Item({
  date,
  item,
  name,
  amount,
  more,
  said,
  left,
}: {
  date: string;
  item: string;
  name: string;
  amount: string;
  more: string;
  said: (item: string) => string | null;
  left: boolean;
}) {
  const fetcher = useFetcher();
  const mayLog = useMay("log");
  const by = said(item);
  const pending = fetcher.formData ? fetcher.formData.get("done") === "yes" : null;
  const done = pending ?? by !== null;
  if (left && done) return null;
  return (
    <li className="border-b border-linen">
      <label className={clsx("flex min-h-12 items-center gap-3 py-1", done && "text-faded")}>
        <input
          type="checkbox"
          checked={done}
          disabled={!mayLog}
          onChange={event =>
            void fetcher.submit(
              { item, done: event.target.checked ? "yes" : "no", at: String(Date.now()) },
              { method: "post", action: `/day/${date}/lists` },
            )
          }
          className="size-6 shrink-0 accent-copper"
        />
        <span className="min-w-0 grow">
          <span className={done ? "line-through" : ""}>{name}</span>
          {more && <span className="block text-xs text-faded">{more}</span>}
        </span>
        {pending !== null && fetcher.state !== "idle" ? (
          <span className="text-xs text-faded">being kept</span>
        ) : (
          by && <span className="text-xs text-faded">{by}</span>
        )}
        <span className="whitespace-nowrap tabular-nums">{amount}</span>
      </label>
    </li>
  );
}

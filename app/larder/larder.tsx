import Fuse from "fuse.js";
import { useEffect, useMemo, useRef, useState } from "react";
import { Link, useNavigate, useSearchParams } from "react-router";
import { ALLERGENS, type Ingredient } from "~/core/things/larder";
import { printNumber } from "~/core/ground/quantity";
import type { Route } from "./+types/larder";
import { useKitchen } from "../kitchen/context";
import { Button, buttonClass } from "../ui/button";
import { type ScreenCommand, useCommands } from "../ui/commands";
import { LyingJar } from "./jar";
import { EditForm } from "../people/edit-form";

export { action, loader } from "./larder.server";
export { PageError as ErrorBoundary } from "../ui/page-error";

export const meta: Route.MetaFunction = () => [{ title: "Larder · Hondaro" }];

const FILTERS: readonly { id: string; label: string; keeps: (i: Ingredient) => boolean }[] = [
  { id: "all", label: "Everything", keeps: () => true },
  {
    id: "bones",
    label: "Bones, meat and shells",
    keeps: i => /bones|whole|frames|shells|meat|skin|bivalves/.test(i.solidKind ?? ""),
  },
  { id: "greens", label: "Vegetables", keeps: i => /mirepoix|mushrooms|herbs/.test(i.solidKind ?? "") },
  { id: "liquids", label: "Liquids", keeps: i => i.phase === "liquor" && i.composition.water > 50 },
  { id: "fats", label: "Fats", keeps: i => i.phase === "fat" },
  { id: "stocks", label: "Bought stock", keeps: i => i.boughtStock === true },
  { id: "alcohol", label: "With alcohol", keeps: i => i.composition.ethanol > 0 },
  { id: "unknown", label: "Allergens not entered", keeps: i => i.allergens === null },
];

/** Rows drawn at once. */
const ROWS = 60;

type Column = "name" | "water" | "fat" | "salt" | "yield" | "price";

const COLUMNS: readonly {
  id: Column;
  label: string;
  value: (i: Ingredient) => number | string;
  wide?: boolean;
}[] = [
  { id: "name", label: "Name", value: i => i.name.toLowerCase(), wide: true },
  { id: "water", label: "Water %", value: i => i.composition.water },
  { id: "fat", label: "Fat %", value: i => i.composition.fat },
  { id: "salt", label: "Salt %", value: i => i.composition.salt },
  { id: "yield", label: "Used %", value: i => i.ediblePct },
  { id: "price", label: "Price per kg", value: i => i.price?.perKg ?? -1 },
];

export default function Larder({ loaderData }: Route.ComponentProps) {
  const offered = loaderData;
  const { ingredients } = useKitchen();
  const [params, setParams] = useSearchParams();
  const [typed, setTyped] = useState(params.get("q") ?? "");
  const [chosen, setChosen] = useState(0);
  const search = useRef<HTMLInputElement>(null);
  const navigate = useNavigate();
  const filter = FILTERS.find(f => f.id === params.get("only")) ?? FILTERS[0];
  const sort = COLUMNS.find(c => c.id === params.get("by"))?.id ?? "name";
  const down = params.get("down") === "1";
  const fuse = useMemo(
    () =>
      new Fuse(ingredients, {
        keys: [
          { name: "name", weight: 2 },
          { name: "aliases", weight: 1 },
        ],
        threshold: 0.34,
        ignoreLocation: true,
      }),
    [ingredients],
  );
  const shown = useMemo(() => {
    const found = typed.trim() ? fuse.search(typed.trim()).map(r => r.item) : [...ingredients];
    const kept = found.filter(i => filter?.keeps(i) ?? true);
    // A search brings the nearest first; only a chosen order changes that.
    if (typed.trim() && !params.get("by")) return kept;
    const column = COLUMNS.find(c => c.id === sort);
    const order = (a: Ingredient, b: Ingredient) => {
      const [x, y] = [column?.value(a) ?? 0, column?.value(b) ?? 0];
      return x < y ? -1 : x > y ? 1 : 0;
    };
    return kept.sort((a, b) => (down ? order(b, a) : order(a, b)));
  }, [typed, fuse, ingredients, filter, sort, down, params]);
  const at = Math.min(chosen, Math.max(0, shown.length - 1));
  // So many rows are drawn as a page holds; the chosen one tells which page.
  const page = Math.floor(at / ROWS);
  const pages = Math.max(1, Math.ceil(shown.length / ROWS));

  const set = (key: string, value: string | null) =>
    setParams(
      now => {
        if (value === null) now.delete(key);
        else now.set(key, value);
        return now;
      },
      { replace: true, preventScrollReset: true },
    );
  const sortBy = (column: Column) => {
    const turn = params.get("by") === column && !down;
    set("by", column);
    set("down", turn ? "1" : null);
  };
  const commands = useMemo<ScreenCommand[]>(
    () => [
      {
        id: "find",
        label: "find an ingredient",
        group: "Larder",
        keys: "/",
        shown: "/",
        run: () => search.current?.focus(),
      },
      {
        id: "down",
        label: "next",
        group: "Larder",
        keys: "ArrowDown",
        shown: "↓",
        run: () => setChosen(at + 1),
      },
      {
        id: "up",
        label: "the one before",
        group: "Larder",
        keys: "ArrowUp",
        shown: "↑",
        run: () => setChosen(Math.max(0, at - 1)),
      },
      {
        id: "open",
        label: "open it",
        group: "Larder",
        keys: "Enter",
        shown: "Enter",
        run: () => shown[at] && void navigate(`/larder/${shown[at].id}`),
      },
      {
        id: "new",
        label: "new ingredient",
        group: "Larder",
        keys: "n",
        shown: "n",
        run: () => void navigate("/larder/new"),
      },
    ],
    [at, shown, navigate],
  );
  useCommands(commands);
  useEffect(() => {
    document.querySelector(`[data-row="${at}"]`)?.scrollIntoView({ block: "nearest" });
  }, [at]);

  return (
    <main className="mx-auto max-w-6xl px-4 py-6 sm:px-6">
      <div className="flex flex-wrap items-end gap-x-6 gap-y-3">
        <div>
          <h1 className="text-3xl">Larder</h1>
          <p className="mt-1 text-faded">
            {shown.length === ingredients.length
              ? `${printNumber(ingredients.length)} ingredients, what they are made of and where each figure comes from.`
              : `${printNumber(shown.length)} of ${printNumber(ingredients.length)}.`}
          </p>
        </div>
        <div className="ml-auto flex flex-wrap gap-2">
          <Link to="/larder/new" className={buttonClass("act")}>
            New ingredient
          </Link>
          <Link to="/larder/import" className={buttonClass("plain")}>
            Bring in
          </Link>
          <a href="/larder.csv" className={buttonClass("plain")}>
            CSV
          </a>
          <a href="/larder.json" className={buttonClass("plain")}>
            JSON
          </a>
        </div>
      </div>
      {offered.entries + offered.named > 0 && (
        <EditForm className="mt-4 flex flex-wrap items-center gap-x-4 gap-y-2 rounded-md bg-saffron-wash px-3 py-2 text-saffron-ink">
          <p className="grow">
            {offered.entries > 0 && `${printNumber(offered.entries)} new entries`}
            {offered.entries > 0 && offered.named > 0 && " and "}
            {offered.named > 0 && `further names for ${printNumber(offered.named)} of yours`} came with this
            version. Your own figures stay as they are.
          </p>
          <Button type="submit" name="intent" value="take over">
            Take them over
          </Button>
        </EditForm>
      )}
      <div className="mt-5 flex flex-wrap items-center gap-x-5 gap-y-3">
        <label className="flex grow items-center gap-2 sm:max-w-96">
          <span className="sr-only">Find an ingredient</span>
          <input
            ref={search}
            type="search"
            value={typed}
            placeholder="Find: shallot, crème, celriac …"
            onChange={event => {
              setTyped(event.currentTarget.value);
              setChosen(0);
            }}
            onKeyDown={event => {
              if (event.key === "ArrowDown") setChosen(at + 1);
              else if (event.key === "ArrowUp") setChosen(Math.max(0, at - 1));
              else if (event.key === "Enter" && shown[at]) void navigate(`/larder/${shown[at].id}`);
              else return;
              event.preventDefault();
            }}
            className="w-full rounded-lg border border-rule bg-enamel px-3 py-2 text-lg hover:border-faded"
          />
        </label>
        <div role="group" aria-label="Show" className="flex flex-wrap gap-1.5">
          {FILTERS.map(f => (
            <button
              key={f.id}
              type="button"
              aria-pressed={f === filter}
              onClick={() => set("only", f.id === "all" ? null : f.id)}
              className={`rounded-full border px-3 py-1 text-sm ${f === filter ? "border-copper bg-copper text-enamel" : "border-rule text-faded hover:border-copper hover:text-copper"}`}
            >
              {f.label}
            </button>
          ))}
        </div>
      </div>
      <div className="mt-4 overflow-x-auto">
        <table className="w-full min-w-160 border-collapse text-left">
          <thead className="sticky top-0 bg-paper text-sm text-faded">
            <tr className="border-b border-rule">
              {COLUMNS.slice(0, 1).map(c => (
                <Sorter key={c.id} column={c} sort={sort} down={down} onSort={sortBy} />
              ))}
              <th scope="col" className="w-44 px-2 py-2 font-normal">
                As it would settle
              </th>
              {COLUMNS.slice(1).map(c => (
                <Sorter key={c.id} column={c} sort={sort} down={down} onSort={sortBy} />
              ))}
              <th scope="col" className="px-2 py-2 font-normal">
                Allergens
              </th>
            </tr>
          </thead>
          <tbody>
            {shown.slice(page * ROWS, (page + 1) * ROWS).map((i, onPage) => {
              const n = page * ROWS + onPage;
              return (
                <tr
                  key={i.id}
                  data-row={n}
                  aria-selected={n === at}
                  className={`border-b border-rule/60 ${n === at ? "bg-saffron-wash" : "hover:bg-linen/60"}`}
                >
                  <td className="py-1.5 pr-2 pl-3">
                    <Link to={`/larder/${i.id}`} className="font-semibold hover:text-copper">
                      {i.name}
                    </Link>
                    {i.boughtStock && <span className="ml-2 text-xs text-faded">bought stock</span>}
                  </td>
                  <td className="px-2">
                    <LyingJar composition={i.composition} />
                  </td>
                  <Figure value={i.composition.water} />
                  <Figure value={i.composition.fat} />
                  <Figure value={i.composition.salt} />
                  <Figure value={i.ediblePct} />
                  <td className="px-2 text-right">
                    {i.price ? (
                      `${printNumber(i.price.perKg, 2)} ${i.price.currency}`
                    ) : (
                      <span className="text-faded">none</span>
                    )}
                  </td>
                  <td className="px-2 text-sm text-faded">
                    {i.allergens === null
                      ? "not entered"
                      : i.allergens.map(a => ALLERGENS[a]).join(", ") || "none recorded"}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
        {pages > 1 && (
          <nav aria-label="Pages" className="mt-4 flex items-center gap-4">
            <Button look="quiet" disabled={page === 0} onClick={() => setChosen((page - 1) * ROWS)}>
              ← {ROWS} before
            </Button>
            <span className="text-faded">
              {printNumber(page * ROWS + 1)}–{printNumber(Math.min(shown.length, (page + 1) * ROWS))}
            </span>
            <Button look="quiet" disabled={page === pages - 1} onClick={() => setChosen((page + 1) * ROWS)}>
              {ROWS} more →
            </Button>
          </nav>
        )}
        {shown.length === 0 && (
          <p className="py-10 text-center text-faded">
            Nothing of that name. Try another word, or{" "}
            <Link to="/larder/new" className="text-copper underline underline-offset-4">
              write it in
            </Link>
            .
          </p>
        )}
      </div>
    </main>
  );
}

const Figure = ({ value }: { value: number }) => (
  <td className={`px-2 text-right ${value < 0.05 ? "text-faded" : ""}`}>
    {value < 0.05 ? "·" : printNumber(value, value < 10 ? 1 : 0)}
  </td>
);

function Sorter({
  column,
  sort,
  down,
  onSort,
}: {
  column: (typeof COLUMNS)[number];
  sort: Column;
  down: boolean;
  onSort: (column: Column) => void;
}) {
  const active = sort === column.id;
  return (
    <th
      scope="col"
      aria-sort={active ? (down ? "descending" : "ascending") : "none"}
      className={`py-2 font-normal ${column.wide ? "pl-3" : "px-2 text-right"}`}
    >
      <button type="button" onClick={() => onSort(column.id)} className="hover:text-copper">
        {column.label}
        <span aria-hidden="true">{active ? (down ? " ↓" : " ↑") : ""}</span>
      </button>
    </th>
  );
}

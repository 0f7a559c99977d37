import { useState } from "react";
import { Link, useFetcher } from "react-router";
import type { MenuLine, NeedView } from "~/core/day";
import { printNumber } from "~/core/ground/quantity";
import { Button } from "../ui/button";

const kg = (g: number): string => (g >= 1000 ? `${printNumber(g / 1000, 2)} kg` : `${printNumber(g, 0)} g`);

/** What is served, to how many; and what that asks of the kitchen, down to its stocks. */
export function Menu({
  menu,
  formulas,
  portions,
  needs,
  mayEdit,
}: {
  menu: readonly MenuLine[];
  formulas: readonly { id: string; name: string }[];
  portions: Readonly<Record<string, number | null>>;
  needs: readonly NeedView[];
  mayEdit: boolean;
}) {
  const [open, setOpen] = useState<string | null>(menu.length ? null : "new");
  const nameOf = (id: string): string => formulas.find(f => f.id === id)?.name ?? "a formula that is gone";
  const onMenu = new Set(menu.map(line => line.formulaId));
  const drawn = needs.filter(need => !onMenu.has(need.formulaId));
  return (
    <section aria-label="Menu" className="rounded-xl border border-rule bg-enamel p-4">
      <h2 className="text-xl">Menu</h2>
      <ul className="mt-2 divide-y divide-linen">
        {menu.map(line => {
          const need = needs.find(n => n.formulaId === line.formulaId);
          return (
            <li key={line.id} className="py-1.5">
              <button
                type="button"
                className="flex w-full items-baseline gap-2 text-left hover:text-copper"
                aria-expanded={open === line.id}
                onClick={() => setOpen(open === line.id ? null : line.id)}
              >
                <span className="grow leading-tight">{nameOf(line.formulaId)}</span>
                <span className="whitespace-nowrap tabular-nums">
                  {line.covers} × {printNumber(line.portionG ?? portions[line.formulaId] ?? 0, 0)} g
                </span>
              </button>
              {need && <Told need={need} />}
              {open === line.id && mayEdit && (
                <LineForm line={line} formulas={formulas} onDone={() => setOpen(null)} />
              )}
            </li>
          );
        })}
      </ul>
      {drawn.length > 0 && (
        <>
          <h3 className="mt-3 text-sm font-semibold">For that, first</h3>
          <ul className="divide-y divide-linen">
            {drawn.map(need => (
              <li key={need.formulaId} className="py-1.5">
                <span className="flex items-baseline gap-2">
                  <span className="grow leading-tight">{need.name}</span>
                  <span className="tabular-nums">{kg(need.needG)}</span>
                </span>
                <Told need={need} />
              </li>
            ))}
          </ul>
        </>
      )}
      {mayEdit &&
        (open === "new" ? (
          <LineForm line={null} formulas={formulas} onDone={() => setOpen(null)} />
        ) : (
          <Button className="mt-3 w-full" onClick={() => setOpen("new")}>
            Another sauce
          </Button>
        ))}
    </section>
  );
}

function Told({ need }: { need: NeedView }) {
  return (
    <p className="text-xs text-faded">
      {need.toMakeG > 0 ? `${kg(need.toMakeG)} to make` : "all of it is there"}
      {need.pots > 1 && ` in ${need.pots} pots`}
      {need.fromStockG > 0 && ` · ${kg(need.fromStockG)} from the cold`}
      {need.uses.some(use => use.name !== "the menu") &&
        ` · for ${need.uses.map(use => `${use.name === "the menu" ? "the menu" : use.name} ${kg(use.massG)}`).join(", ")}`}
      {need.habits.map(habit => (
        <span key={habit} className="block">
          {habit}{" "}
          <Link to="/ledger/learned" className="underline underline-offset-2 hover:text-copper">
            learned
          </Link>
        </span>
      ))}
      {need.problems.map(problem => (
        <span key={problem} className="block text-beet">
          ✕ {problem}
        </span>
      ))}
    </p>
  );
}

const FIELD = "h-10 w-full min-w-0 rounded-md border border-rule bg-enamel px-2";

function LineForm({
  line,
  formulas,
  onDone,
}: {
  line: MenuLine | null;
  formulas: readonly { id: string; name: string }[];
  onDone: () => void;
}) {
  const fetcher = useFetcher<{ problems: readonly { message: string }[] }>();
  const problems = fetcher.data?.problems ?? [];
  const field = (name: string, label: string, value: number | null | undefined, hint = "") => (
    <label className="text-xs text-faded">
      {label}
      <input
        name={name}
        inputMode="decimal"
        autoComplete="off"
        defaultValue={value ?? ""}
        placeholder={hint}
        className={`${FIELD} text-base text-ink`}
      />
    </label>
  );
  return (
    <fetcher.Form
      method="post"
      className="mt-2 grid grid-cols-2 gap-2 rounded-md bg-linen p-3"
      onSubmit={() => {
        if (line) onDone();
      }}
    >
      <input type="hidden" name="id" value={line?.id ?? ""} />
      <label className="col-span-2 text-xs text-faded">
        Sauce
        <select name="formulaId" defaultValue={line?.formulaId} className={`${FIELD} text-base text-ink`}>
          {formulas.map(f => (
            <option key={f.id} value={f.id}>
              {f.name}
            </option>
          ))}
        </select>
      </label>
      {field("covers", "covers", line?.covers)}
      {field("portionG", "portion, g", line?.portionG, "its own")}
      {field("overagePct", "made over, %", line?.overagePct, "5")}
      {field("lossPct", "left in pots, %", line?.lossPct, "3")}
      {field("readyMin", "ready before service, min", line?.readyMin, "15")}
      <div className="flex items-end gap-1">
        <Button type="submit" name="intent" value="line" look="act">
          {line ? "Keep" : "Put on"}
        </Button>
        {line && (
          <Button type="submit" name="intent" value="drop" look="quiet">
            Take off
          </Button>
        )}
      </div>
      {problems.map(p => (
        <p key={p.message} role="alert" className="col-span-2 text-sm text-beet">
          ✕ {p.message}
        </p>
      ))}
    </fetcher.Form>
  );
}

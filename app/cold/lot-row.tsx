import { useState } from "react";
import { Link } from "react-router";
import { Button } from "../ui/button";
import { OnceForm } from "../ui/once-form";
import { type Loaded, FIELD, Problems, kg, shortDay, useDone } from "./parts";

const KINDS = [
  ["used", "used"],
  ["wasted", "thrown away"],
  ["counted", "counted: so much is there"],
  ["moved", "moved"],
  ["frozen", "frozen"],
  ["thawed", "thawed"],
] as const;

export function LotRow({
  lot,
  others,
  today,
  mayLog,
}: {
  lot: Loaded["lots"][number];
  others: readonly Loaded["lots"][number][];
  today: string;
  mayLog: boolean;
}) {
  const [open, setOpen] = useState(false);
  const [kind, setKind] = useState<string>("used");
  const fetcher = useDone();
  const over = lot.useBy < today;
  const plain = kind === "moved" || kind === "frozen" || kind === "thawed";
  return (
    <li className="border-b border-rule py-2">
      <button
        type="button"
        aria-expanded={open}
        onClick={() => setOpen(!open)}
        className="flex w-full flex-wrap items-baseline gap-x-3 text-left hover:text-copper"
      >
        <span
          className={`w-20 font-display text-xl ${over ? "text-beet" : lot.useBy === today ? "text-saffron-ink" : ""}`}
        >
          {shortDay(lot.useBy)}
        </span>
        <span className="min-w-0 grow">
          <span className="font-semibold">{lot.name}</span>
          {over && <span className="text-beet"> ✕ past its day</span>}
          {lot.useBy === today && <span className="text-saffron-ink"> last day</span>}
          {lot.frozen && <span> · frozen</span>}
        </span>
        <span className="font-display text-xl tabular-nums">{kg(lot.massG)}</span>
        <span className="basis-full pl-20 text-sm text-faded">
          {[
            lot.place,
            lot.note,
            `made ${shortDay(lot.madeOn)}`,
            lot.oldestOn < lot.madeOn && `its oldest part ${shortDay(lot.oldestOn)}`,
            lot.allergens === null
              ? "allergens not entered"
              : lot.allergens.length
                ? lot.allergens.join(", ")
                : "no allergen recorded",
          ]
            .filter(Boolean)
            .join(" · ")}
        </span>
      </button>
      {lot.usedIn.length > 0 && (
        <p className="pl-20 text-sm">
          Goes into:{" "}
          {lot.usedIn.map(word => (
            <Link
              key={word}
              to={`/bench?q=${encodeURIComponent(word)}`}
              className="mr-3 underline underline-offset-4 hover:text-copper"
            >
              formulas with {word}
            </Link>
          ))}
        </p>
      )}
      {open && mayLog && (
        <div className="mt-2 flex flex-col gap-2 pl-20">
          <OnceForm fetcher={fetcher} className="flex flex-wrap items-center gap-2">
            <input type="hidden" name="lot" value={lot.id} />
            <select
              name="kind"
              aria-label="what became of it"
              value={kind}
              onChange={e => setKind(e.target.value)}
              className={FIELD}
            >
              {KINDS.map(([id, label]) => (
                <option key={id} value={id}>
                  {label}
                </option>
              ))}
            </select>
            {!plain && (
              <>
                <input name="massG" inputMode="decimal" aria-label="grams" className={`${FIELD} w-24`} />g
              </>
            )}
            <input
              name="place"
              placeholder={kind === "moved" ? "where to" : "where"}
              aria-label="where"
              className={`${FIELD} w-32`}
            />
            <input name="note" placeholder="note" aria-label="note" className={`${FIELD} w-32`} />
            <Button type="submit" name="intent" value="move">
              Note it
            </Button>
            <Problems of={fetcher.data?.problems} />
          </OnceForm>
          {others.length > 0 && <Pour lot={lot} others={others} />}
        </div>
      )}
    </li>
  );
}

function Pour({ lot, others }: { lot: Loaded["lots"][number]; others: readonly Loaded["lots"][number][] }) {
  const fetcher = useDone();
  return (
    <OnceForm fetcher={fetcher} className="flex flex-wrap items-center gap-2">
      <input type="hidden" name="lot" value={lot.id} />
      pour
      <input
        name="massG"
        inputMode="decimal"
        aria-label="grams poured"
        defaultValue={Math.round(lot.massG)}
        className={`${FIELD} w-24`}
      />
      g into
      <select name="into" aria-label="into" className={`${FIELD} max-w-56`}>
        {others.map(other => (
          <option key={other.id} value={other.id}>
            {other.name}, {shortDay(other.madeOn)}
          </option>
        ))}
      </select>
      <Button type="submit" name="intent" value="pour">
        Pour together
      </Button>
      <p className="basis-full text-xs text-faded">
        The pooled pot is as old as its oldest part and holds the allergens of both.
      </p>
      <Problems of={fetcher.data?.problems} />
    </OnceForm>
  );
}

import { useEffect, useState } from "react";
import { Link, useFetcher } from "react-router";
import type { DaughterMoved } from "~/core/formula";
import { type Grams, g, printKilograms, printMass, printNumber } from "~/core/ground/quantity";
import { allocateBase } from "~/core/laws/puree";
import type { loader } from "../../api/daughters.server";
import { daysText } from "../../text/format";
import { costInWords } from "../../text/money";
import { readWithin } from "../../ui/read";
import { TypedField } from "../../ui/typed-field";
import type { PanelProps } from "./panel-props";

/** What draws on this formula: how one batch of it is shared out, and what its change does to each of them. */
export function DaughtersPanel({ formula, walked, formulaId }: PanelProps & { formulaId: string }) {
  const { load, data } = useFetcher<typeof loader>();
  const saved = formula.saveState === "saved";
  // What is saved is what they draw on: asked again when it is.
  useEffect(() => {
    if (saved) void load(`/bench/${formulaId}/daughters`);
  }, [load, formulaId, saved]);
  if (!data) return <p className="text-faded">Looking …</p>;
  if (!data.draws.length) return <p className="text-faded">Nothing is made of it yet.</p>;
  return (
    <div className="grid gap-x-10 gap-y-5 lg:grid-cols-2">
      <Shared draws={data.draws} baseG={walked.finishedG} days={formula.document.storage.days} />
      <section>
        <h3 className="font-semibold">
          {data.against
            ? `What they become, against version ${data.against.number}${data.against.state === "standard" ? ", the standard" : ""}`
            : "What they become"}
        </h3>
        {!data.against ? (
          <p className="text-sm text-faded">No earlier version to set it against.</p>
        ) : data.moved.length === 0 ? (
          <p className="text-sm">Nothing a cook would taste or pay.</p>
        ) : (
          <ul className="mt-1 divide-y divide-rule border-y border-rule">
            {data.moved.map(daughter => (
              <Changed key={daughter.id} daughter={daughter} />
            ))}
          </ul>
        )}
      </section>
    </div>
  );
}

function Changed({ daughter }: { daughter: DaughterMoved }) {
  const { cost } = daughter;
  return (
    <li className="py-2">
      <Link to={`/bench/${daughter.id}`} className="font-semibold hover:text-copper">
        {daughter.name}
      </Link>
      {daughter.comes.length > 0 && (
        <p className="font-semibold text-beet">✕ brings in {daughter.comes.join(", ")}</p>
      )}
      {daughter.notKnownNow && <p className="text-saffron-ink">▲ its allergens are not known any more</p>}
      {daughter.goes.length > 0 && <p>no {daughter.goes.join(", ")} recorded any more</p>}
      {daughter.problems.map(problem => (
        <p key={problem} className="text-beet">
          ✕ {problem}
        </p>
      ))}
      <p className="text-sm">
        {daughter.moved
          .map(
            ({ what, unit, before, after }) =>
              `${what} ${printNumber(before, 2)} → ${printNumber(after, 2)} ${unit}`,
          )
          .join(" · ")}
        {cost.currency && Math.abs(cost.after - cost.before) >= 0.01 && (
          <span className="text-faded">
            {" "}
            · food {costInWords(cost.before, cost.currency)} → {costInWords(cost.after, cost.currency)}
          </span>
        )}
      </p>
    </li>
  );
}

const weight = (massG: Grams): string => (massG >= 2000 ? printKilograms(massG) : printMass(massG));

/** One batch among those that draw on it: the first of the list first, and what is left. */
function Shared({
  draws,
  baseG,
  days,
}: {
  draws: readonly {
    readonly id: string;
    readonly name: string;
    readonly wantG: number;
    readonly direct: boolean;
  }[];
  baseG: number;
  days: number;
}) {
  const direct = draws.filter(draw => draw.direct);
  const [changed, setChanged] = useState<Readonly<Record<string, number>>>({});
  const wants = direct.map(draw => ({ ...draw, wantG: changed[draw.id] ?? draw.wantG }));
  const asked = wants.filter(draw => draw.wantG > 0);
  const shared = allocateBase(
    baseG,
    asked.map(({ id, wantG }) => ({ id, wantG, minG: 0, priority: 1 })),
  );
  const short = shared.ok && asked.some(({ id }) => (shared.value.shortG[id] ?? 0) > 0.5);
  return (
    <section>
      <h3 className="font-semibold">{weight(g(baseG))} of it, shared out</h3>
      <ul className="mt-1 divide-y divide-rule border-y border-rule">
        {wants.map(draw => (
          <li key={draw.id} className="flex flex-wrap items-center justify-between gap-3 py-2">
            <Link to={`/bench/${draw.id}`} className="font-semibold hover:text-copper">
              {draw.name}
            </Link>
            <span className="flex items-center gap-3">
              <TypedField
                label={`${draw.name} draws`}
                hideLabel
                shown={weight(g(draw.wantG))}
                read={readWithin("The draw", "g", 0, 1_000_000)}
                onRead={wantG => setChanged({ ...changed, [draw.id]: wantG })}
                width="w-24"
              />
              {short && shared.ok && draw.wantG > 0 && (
                <b className="text-beet">gets {weight(g(shared.value.given[draw.id] ?? 0))}</b>
              )}
            </span>
          </li>
        ))}
      </ul>
      {shared.ok && (
        <p className={`mt-2 ${short ? "font-semibold text-beet" : ""}`}>
          {short
            ? `Short by ${weight(g(asked.reduce((sum, { id }) => sum + (shared.value.shortG[id] ?? 0), 0)))}: everybody gets the same share.`
            : `${weight(g(shared.value.leftG))} left: use within ${daysText(days)}, or freeze.`}
        </p>
      )}
      {draws.length > direct.length && (
        <p className="text-sm text-faded">
          Through these also:{" "}
          {draws
            .filter(d => !d.direct)
            .map(d => d.name)
            .join(", ")}
          .
        </p>
      )}
    </section>
  );
}

import { useState } from "react";
import { ulid } from "ulid";
import {
  type Binding,
  type Kitchen,
  type Walk,
  bindingsFor,
  sauceOf,
  servedAtC,
  withBinding,
  finalState,
} from "~/core/formula";
import { g, printMass, printNumber } from "~/core/ground/quantity";
import {
  bandOf,
  loosenTo,
  looseningWith,
  mountButter,
  setsBelowC,
  temperLiaison,
  usualLiaison,
  yolkWindow,
} from "~/core/laws/texture";
import { SAUCE_BUTTER_G_PER_L, SOUP_BUTTER_G_PER_L, THICKENERS, butterFor } from "~/core/laws/thickening";
import { BodyScale, SpoonPicture } from "../../ui/body-scale";
import { lookOf } from "../../ui/liquid";
import { Button } from "../../ui/button";
import type { Formula } from "../use-formula";
import { BodyReadings } from "./body-readings";
import { ColdSet } from "./cold-set";

/** Closer than this nobody feels a difference, points. */
const THERE = 1;

/** How thick it is, how thick it shall be, and every way to get there. */
export function BindingPanel({
  formula,
  formulaId,
  kitchen,
  walked,
}: {
  formula: Formula;
  formulaId: string;
  kitchen: Kitchen;
  walked: Walk;
}) {
  const { document, edit } = formula;
  const last = finalState(walked.states);
  const body = last?.body ?? null;
  const target = document.targets.find(t => t.what === "body");
  const want = target?.value ?? Math.round(body?.thickness ?? 45);
  const [fat, setFat] = useState(100);
  const ways = bindingsFor(document, walked, kitchen, want);
  const wish = (value: number) =>
    edit(
      d => ({
        ...d,
        targets: [
          ...d.targets.filter(t => t.what !== "body"),
          { what: "body" as const, value, tolerance: 1 },
        ],
      }),
      "target-body",
    );
  if (!last || !body)
    return <p className="text-faded">There is no liquor to bind yet: put one on the line first.</p>;
  const atC = servedAtC(document);
  const state = sauceOf(last.pot, kitchen.facts);
  const setsAt = body.body ? setsBelowC(body.body.gelatinPct) : null;
  const sd = 1.645 * body.sd;
  const thinner = body.thickness > want + THERE;
  const there = Math.abs(body.thickness - want) <= THERE;
  return (
    <div className="space-y-5">
      <div className="grid items-start gap-6 lg:grid-cols-[1fr_auto]">
        <div>
          <p className="mb-1 text-sm text-faded">
            Drag along the scale: what it shall be at {atC} °C. Grey is where nine of ten such sauces lie.
          </p>
          <BodyScale
            now={body.thickness}
            lo={Math.max(0, body.thickness - sd)}
            hi={Math.min(100, body.thickness + sd)}
            want={want}
            onWant={wish}
          />
          <p className="text-sm">
            wanted <strong className="text-copper">{want}</strong>, {bandOf(want).name}: {bandOf(want).seen}
          </p>
          {setsAt !== null && (
            <p className="mt-1 text-sm text-saffron-ink">
              ▲ It sets below {printNumber(setsAt)} °C: warm plates.
            </p>
          )}
        </div>
        <div className="flex gap-4 text-center text-xs text-faded">
          <div>
            <SpoonPicture body={body.thickness} liquid={lookOf(last.pot.liquor)} />
            now
          </div>
          <div>
            <SpoonPicture body={want} liquid={lookOf(last.pot.liquor)} />
            wanted
          </div>
        </div>
      </div>
      {there ? (
        <p className="text-sorrel">
          ✓ It stands where it is wanted. Drag the mark to see what another body takes.
        </p>
      ) : thinner ? (
        <Loosen state={state} want={want} atC={atC} kitchen={kitchen} />
      ) : ways.length ? (
        <Ways
          ways={ways}
          currency={kitchen.data.ingredients.find(i => i.price)?.price?.currency ?? ""}
          onTake={way => edit(d => withBinding(d, way, ulid))}
        />
      ) : (
        <p className="text-faded">It stands where it is wanted.</p>
      )}
      <BodyReadings
        formulaId={formulaId}
        family={document.family}
        forecast={body.forecast}
        kitchen={kitchen}
      />
      <div className="grid gap-x-10 gap-y-4 border-t border-rule pt-4 text-sm sm:grid-cols-2 xl:grid-cols-4">
        <div>
          <h3 className="font-semibold">Fat in the roux</h3>
          <label className="mt-1 block">
            <span className="sr-only">Rendered fat, g</span>
            <input
              type="number"
              min={0}
              value={fat}
              onChange={e => setFat(Math.max(0, Number(e.currentTarget.value)))}
              className="mr-1 w-20 rounded-md border border-rule bg-enamel px-2 py-1"
            />
            g rendered fat do the work of <strong>{printMass(g(butterFor(fat)))}</strong> butter.
          </label>
          <p className="mt-1 text-faded">One hot, one cold: hot liquor on hot roux makes lumps.</p>
        </div>
        <Mounting massG={walked.finishedG} sauceC={last.temperatureC} soup={document.servedAs === "soup"} />
        <Liaison
          massG={walked.finishedG}
          sauceC={Math.max(80, last.temperatureC)}
          starchPerKg={body.body?.perKg.starch ?? 0}
        />
        <ColdSet volumeMl={walked.finishedMl} gelatinPct={body.body?.gelatinPct ?? 0} />
      </div>
    </div>
  );
}

function Ways({
  ways,
  currency,
  onTake,
}: {
  ways: readonly Binding[];
  currency: string;
  onTake: (way: Binding) => void;
}) {
  return (
    <div className="overflow-x-auto">
      <table className="w-full text-sm">
        <thead className="text-left text-xs text-faded">
          <tr>
            <th className="py-1 pr-4 font-normal">way</th>
            <th className="pr-4 font-normal">weigh</th>
            <th className="pr-4 font-normal">what it does</th>
            <th className="pr-4 text-right font-normal">finished</th>
            <th className="pr-4 text-right font-normal">salt</th>
            <th className="pr-4 text-right font-normal">cost</th>
            <th />
          </tr>
        </thead>
        <tbody className="divide-y divide-rule border-y border-rule">
          {ways.map(way => (
            <tr key={way.id} className="align-baseline">
              <th scope="row" className="py-2 pr-4 text-left font-semibold">
                {way.title}
              </th>
              <td className="pr-4 font-semibold">
                {way.lines.map(l => `${printMass(g(l.massG))} ${l.name}`).join(", ")}
                {way.evaporateG > 0 && `${printMass(g(way.evaporateG))} must boil off`}
              </td>
              <td className="pr-4 text-faded">
                {way.does.join("; ")}
                {way.warnings.map(w => (
                  <span key={w} className="block text-saffron-ink">
                    ▲ {w}
                  </span>
                ))}
              </td>
              <td className="pr-4 text-right whitespace-nowrap">{printMass(g(way.finishedG))}</td>
              <td className="pr-4 text-right whitespace-nowrap">{printNumber(way.saltPct, 2)} %</td>
              <td className="pr-4 text-right whitespace-nowrap">
                {way.cost === null ? "no price" : `${printNumber(way.cost, 2)} ${currency}`}
              </td>
              <td className="py-1 text-right">
                {way.step && (
                  <Button onClick={() => onTake(way)} aria-label={`Put on the line: ${way.title}`}>
                    Put on the line
                  </Button>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-2 text-xs text-faded">
        Powers of corn starch, arrowroot, tapioca and rice: from memory of a cookery school’s table; the rest
        our estimate ({Object.keys(THICKENERS).length} thickeners). A reading of your own sharpens it.
      </p>
    </div>
  );
}

function Loosen({
  state,
  want,
  atC,
  kitchen,
}: {
  state: Parameters<typeof loosenTo>[0];
  want: number;
  atC: number;
  kitchen: Kitchen;
}) {
  return (
    <ul className="grid gap-3 sm:grid-cols-3">
      {(["stock", "water", "cream"] as const).map(name => {
        const found = loosenTo(state, looseningWith(name), want, atC, kitchen.facts);
        return (
          <li key={name} className="rounded-xl border border-rule bg-paper p-4 text-sm">
            <p className="font-display text-lg font-semibold">
              loosen with {name === "stock" ? "unsalted stock" : name}
            </p>
            {found.ok ? (
              <p>
                <strong className="text-copper">{printMass(g(found.value.addG))}</strong>,{" "}
                {printMass(g(found.value.totalG))} in all; every taste × {printNumber(found.value.factor, 2)}.
              </p>
            ) : (
              <p className="text-saffron-ink">▲ {found.problems[0]?.message}</p>
            )}
          </li>
        );
      })}
    </ul>
  );
}

function Mounting({ massG, sauceC, soup }: { massG: number; sauceC: number; soup: boolean }) {
  const gPerL = soup ? SOUP_BUTTER_G_PER_L : SAUCE_BUTTER_G_PER_L;
  const butterG = (massG / 1000) * gPerL;
  const done = mountButter({
    sauceG: Math.max(1, massG),
    sauceC: Math.min(80, Math.max(sauceC, 65)),
    sauceFatPct: 0,
    butterG,
    butterC: 5,
  });
  return (
    <div>
      <h3 className="font-semibold">Butter to finish</h3>
      {done.ok && (
        <p className="mt-1">
          {printNumber(gPerL)} g a litre: <strong>{printMass(g(butterG))}</strong>, from 80 °C to{" "}
          {printNumber(done.value.finalC)} °C; at most {printMass(g(done.value.mostAtOnceG))} at once. Holds
          to {printNumber(done.value.windowC.hi)} °C.
        </p>
      )}
      <p className="mt-1 text-faded">Butter thickens and shines; it does not take fat away.</p>
    </div>
  );
}

function Liaison({ massG, sauceC, starchPerKg }: { massG: number; sauceC: number; starchPerKg: number }) {
  const window = yolkWindow(starchPerKg);
  const { yolks, yolkG, creamG } = usualLiaison(massG);
  const done = temperLiaison({
    sauceG: Math.max(1, massG),
    sauceC,
    liaisonG: yolkG + creamG,
    liaisonC: 8,
    window,
  });
  return (
    <div>
      <h3 className="font-semibold">Tempering a liaison</h3>
      {done.ok && (
        <p className="mt-1">
          {yolks} yolks and {printMass(g(creamG))} cream:{" "}
          {done.value.steps.map(s => `${printMass(g(s.addG))} to ${printNumber(s.reachesC)} °C`).join(", ") ||
            "warm enough"}
          ; back at {printNumber(done.value.finalC)} °C. Window {window.loC}–{printNumber(window.hiC)} °C,
          alarm at {printNumber(window.alarmC)} °C.
        </p>
      )}
      <p className="mt-1 text-faded">Raw yolk below 75 °C stays raw egg; follow your local food code.</p>
    </div>
  );
}

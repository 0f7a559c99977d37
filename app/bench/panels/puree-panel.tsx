import { useState } from "react";
import { type Kitchen, type Walk } from "~/core/formula";
import {
  BLANCH_SECONDS,
  BLANCH_WATER,
  GREEN_ENOUGH,
  POTATO_DRIES,
  PUREE_VEGETABLES,
  type PureeVegetable,
  SIEVES,
  SIEVE_LOSS,
  type Sieve,
  VEGETABLE_IDS,
  type VegetableId,
  allocateBase,
  asSauce,
  blenderLoads,
  greenIndex,
  isFloury,
  liquidForPuree,
  pureeBalance,
  toolFor,
} from "~/core/puree";
import { g, ml, printMass, printNumber, printVolume } from "~/core/quantity";
import { bandOf, bodyOf, standardLiquid } from "~/core/texture";
import { BodyScale } from "../../ui/body-scale";
import { readMass, readWithin } from "../../ui/read";
import { TypedField } from "../../ui/typed-field";
import type { Formula } from "../use-formula";

const SIEVE_WORDS: Readonly<Record<Sieve, string>> = {
  none: "no sieve",
  mill: "food mill or ricer",
  chinois: "fine chinois",
  tamis: "drum sieve",
};
const MOISTENS = ["water", "milk", "cream"] as const;
const PUREE_AT_C = 60;

/** The vegetable a formula speaks of, by its base or its name; the longest name that fits. */
const guess = (words: string): VegetableId =>
  [...VEGETABLE_IDS]
    .sort((a, b) => b.length - a.length)
    .find(id => words.toLowerCase().includes(id.replace("-", " "))) ?? "carrot";

/** What of a vegetable the line asks to be bought. */
function boughtOf(walked: Walk, id: VegetableId): number | undefined {
  const line = walked.states.flatMap(s => s.lines).find(l => l.name.includes(id.replace("-", " ")));
  return line?.purchasedG;
}

/** From the crate to the pass: what is left, how it sits, what it takes, how often the jar is filled. */
export function PureePanel({
  formula,
  kitchen,
  walked,
}: {
  formula: Formula;
  kitchen: Kitchen;
  walked: Walk;
}) {
  const { document } = formula;
  const [id, setId] = useState<VegetableId>(() => guess(`${document.base.name} ${document.name}`));
  const [grossG, setGross] = useState(() => boughtOf(walked, id) ?? document.base.massG);
  const [sieve, setSieve] = useState<Sieve>("tamis");
  const [want, setWant] = useState(72);
  const [liquid, setLiquid] = useState<(typeof MOISTENS)[number]>("milk");
  const [butterPct, setButter] = useState(6);
  const v: PureeVegetable = PUREE_VEGETABLES[id];
  const balance = pureeBalance({ grossG, vegetable: v, sieve });
  const tool = toolFor(v.name);
  const floury = isFloury(v.name);
  const jar = kitchen.data.appliances.find(a => a.kind === "blender");
  return (
    <div className="space-y-5">
      <div className="flex flex-wrap items-end gap-4">
        <Choice
          label="vegetable"
          value={id}
          onPick={setId}
          options={VEGETABLE_IDS.map(x => [x, PUREE_VEGETABLES[x].name] as const)}
        />
        <TypedField
          label="as bought"
          shown={`${printNumber(grossG / 1000, 2)} kg`}
          read={readMass("As bought", "kg")}
          onRead={setGross}
          inputClassName="w-28"
        />
        <Choice
          label="through"
          value={sieve}
          onPick={setSieve}
          options={SIEVES.map(x => [x, SIEVE_WORDS[x]] as const)}
        />
        <Choice
          label="moistened with"
          value={liquid}
          onPick={setLiquid}
          options={MOISTENS.map(x => [x, x] as const)}
        />
        <TypedField
          label="butter, of the purée"
          shown={`${printNumber(butterPct)} %`}
          read={readWithin("The butter", "%", 0, 30)}
          onRead={setButter}
          inputClassName="w-20"
        />
      </div>
      {!balance.ok ? (
        <p role="alert" className="text-beet">
          ✕ {balance.problems[0]?.message}
        </p>
      ) : (
        <Sits
          balance={balance.value}
          v={v}
          sieve={sieve}
          want={want}
          onWant={setWant}
          liquid={liquid}
          butterG={(balance.value.pureeG * butterPct) / 100}
          floury={floury}
          kitchen={kitchen}
          jarMl={jar?.kind === "blender" ? jar.jarMl : 2000}
          jarName={jar?.name ?? "jar of 2 l"}
          portionG={document.portionG}
        />
      )}
      <div className="grid gap-x-10 gap-y-4 border-t border-rule pt-4 text-sm lg:grid-cols-3">
        <div>
          <h3 className="font-semibold">Tool</h3>
          <p className="mt-1">
            {tool.bladeLocked && <strong className="text-beet">✕ no blade. </strong>}
            {tool.tool}: {tool.why}.
          </p>
        </div>
        <ColourHold name={v.name} massG={balance.ok ? balance.value.trimmedG : 0} />
        <Derived />
      </div>
      {v.note && (
        <p className="text-sm text-saffron-ink">
          ▲ {v.name}: {v.note}.
        </p>
      )}
    </div>
  );
}

function Choice<T extends string>({
  label,
  value,
  options,
  onPick,
}: {
  label: string;
  value: T;
  options: readonly (readonly [T, string])[];
  onPick: (value: T) => void;
}) {
  return (
    <label className="text-xs text-faded">
      {label}
      <select
        value={value}
        onChange={e => onPick(e.currentTarget.value as T)}
        className="block rounded-md border border-rule bg-enamel px-2 py-1.5 text-base text-ink"
      >
        {options.map(([key, words]) => (
          <option key={key} value={key}>
            {words}
          </option>
        ))}
      </select>
    </label>
  );
}

function Sits({
  balance,
  v,
  sieve,
  want,
  onWant,
  liquid,
  butterG,
  floury,
  kitchen,
  jarMl,
  jarName,
  portionG,
}: {
  balance: Extract<ReturnType<typeof pureeBalance>, { ok: true }>["value"];
  v: PureeVegetable;
  sieve: Sieve;
  want: number;
  onWant: (body: number) => void;
  liquid: (typeof MOISTENS)[number];
  butterG: number;
  floury: boolean;
  kitchen: Kitchen;
  jarMl: number;
  jarName: string;
  portionG: number;
}) {
  const driedG = floury ? POTATO_DRIES * balance.cookedG : 0;
  const plain = asSauce(balance.pureeG - driedG, balance.solidsG, floury ? 0.8 : 1);
  const buttered = { ...plain, ...withButter(plain, butterG) };
  const body = bodyOf(buttered, PUREE_AT_C, kitchen.facts);
  const found = liquidForPuree(buttered, standardLiquid(liquid, 1), want, PUREE_AT_C, kitchen.facts);
  const addG = found.ok ? found.value.addG : 0;
  const finishedG = balance.pureeG - driedG + butterG + addG - (found.ok ? found.value.evaporateG : 0);
  const loads = blenderLoads(Math.max(1, finishedG / 1.03), jarMl, 85);
  const [first, rest] = [(butterG + addG) / 2, (butterG + addG) / 2];
  return (
    <div className="grid gap-x-10 gap-y-5 lg:grid-cols-[20rem_1fr]">
      <dl className="divide-y divide-rule border-y border-rule text-sm">
        <Row
          label="trimmed"
          value={printMass(g(balance.trimmedG))}
          note={`${printNumber(100 * v.peelYield)} % left`}
        />
        <Row
          label={`cooked, ${v.method}`}
          value={printMass(g(balance.cookedG))}
          note={`${printNumber(100 * v.cookYield)} %`}
        />
        <Row label="purée" value={printMass(g(balance.pureeG))} note={SIEVE_LOSS[sieve].use} />
        {driedG > 0 && (
          <Row
            label="dried off, stop at"
            value={printMass(g(balance.pureeG - driedG))}
            note={`${printMass(g(driedG))} steam`}
          />
        )}
        <Row
          label="what makes it stand"
          value={`${printNumber(balance.perKg, 1)} g/kg`}
          note="fibre, swollen starch"
        />
        <Row
          label="finished"
          value={printMass(g(finishedG))}
          note={`${printNumber(Math.floor(finishedG / portionG))} portions of ${printMass(g(portionG))}`}
        />
      </dl>
      <div className="space-y-3">
        {body.ok && (
          <BodyScale
            now={body.value.thickness}
            lo={Math.max(0, body.value.thickness - 11.5)}
            hi={Math.min(100, body.value.thickness + 11.5)}
            want={want}
            onWant={onWant}
          />
        )}
        <p>
          {found.ok ? (
            found.value.addG > 0 ? (
              <>
                For body {want} ({bandOf(want).name}): <strong>{printMass(g(found.value.addG))}</strong>{" "}
                {liquid}, warm.
              </>
            ) : (
              <>
                For body {want}: <strong>{printMass(g(found.value.evaporateG))}</strong> must dry off.
              </>
            )
          ) : (
            <span className="text-saffron-ink">▲ {found.problems[0]?.message}</span>
          )}
        </p>
        <p className="text-sm">
          Enrich in two doses: {printMass(g(first))} first, the rest ({printMass(g(rest))}) to texture; fat
          before liquid.
        </p>
        {loads.ok && !floury && (
          <p className="text-sm">
            {jarName}: {loads.value.loads} loads of {printVolume(ml(loads.value.perLoadMl))},{" "}
            {printNumber(100 * loads.value.fill)} % full.{" "}
            <span className="text-saffron-ink">
              ▲ Hot liquid lifts the lid: a third full, vent capped with a folded cloth, start slow.
            </span>
          </p>
        )}
      </div>
    </div>
  );
}

const withButter = (s: ReturnType<typeof asSauce>, butterG: number) => {
  const b = standardLiquid("butter", butterG);
  return { waterG: s.waterG + b.waterG, fatG: s.fatG + b.fatG, milkSolidsG: s.milkSolidsG + b.milkSolidsG };
};

function Row({ label, value, note }: { label: string; value: string; note: string }) {
  return (
    <div className="flex justify-between gap-3 py-1.5">
      <dt>
        {label} <span className="text-faded">{note}</span>
      </dt>
      <dd className="font-semibold whitespace-nowrap">{value}</dd>
    </div>
  );
}

function ColourHold({ name, massG }: { name: string; massG: number }) {
  const key = Object.keys(BLANCH_SECONDS).find(k => name.includes(k.replace(/s$/, "")));
  const seconds = key ? BLANCH_SECONDS[key] : undefined;
  const kept = greenIndex(80, 6, 10);
  return (
    <div>
      <h3 className="font-semibold">Colour</h3>
      {seconds ? (
        <p className="mt-1">
          {seconds[0]}–{seconds[1]} s in {printMass(g(massG * BLANCH_WATER.times))} boiling water with{" "}
          {BLANCH_WATER.saltGPerL} g salt a litre, then as much ice. Ten minutes at 80 °C leave{" "}
          {printNumber(100 * kept)} % of the green
          {kept < GREEN_ENOUGH ? ": keep it cold, warm it late" : ""}; acid at the last moment.
        </p>
      ) : (
        <p className="mt-1">
          Pale ones: {printMass(g((massG / 1000) * 4.8))} lemon juice in the water; short heat, covered.
        </p>
      )}
    </div>
  );
}

function Derived() {
  const [baseG, setBase] = useState(1150);
  const [draws, setDraws] = useState([
    { id: "first", wantG: 640 },
    { id: "second", wantG: 360 },
    { id: "third", wantG: 0 },
  ]);
  const shared = allocateBase(
    baseG,
    draws.filter(d => d.wantG > 0).map(d => ({ ...d, minG: 0, priority: 1 })),
  );
  return (
    <div>
      <h3 className="font-semibold">Shared out</h3>
      <div className="mt-1 flex flex-wrap gap-2">
        <TypedField
          label="base"
          shown={printMass(g(baseG))}
          read={readMass("The base")}
          onRead={setBase}
          inputClassName="w-20"
        />
        {draws.map(draw => (
          <TypedField
            key={draw.id}
            label={draw.id}
            shown={printMass(g(draw.wantG))}
            read={readWithin("The draw", "g", 0, 1_000_000)}
            onRead={wantG => setDraws(draws.map(d => (d.id === draw.id ? { ...d, wantG } : d)))}
            inputClassName="w-20"
          />
        ))}
      </div>
      {shared.ok && (
        <p className="mt-1">
          <strong>{printMass(g(shared.value.leftG))}</strong> left: use within two days or freeze.
        </p>
      )}
    </div>
  );
}

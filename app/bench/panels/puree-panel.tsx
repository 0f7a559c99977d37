import { useState } from "react";
import { type Walk } from "~/core/formula";
import {
  PUREE_VEGETABLES,
  type PureeVegetable,
  SIEVES,
  type Sieve,
  VEGETABLE_IDS,
  type VegetableId,
  isFloury,
  pureeBalance,
  toolFor,
} from "~/core/laws/puree";
import { g, printMass, printNumber } from "~/core/ground/quantity";
import { Button } from "../../ui/button";
import { Choice } from "../../ui/choice";
import { readMass, readWithin } from "../../ui/read";
import { TypedField } from "../../ui/typed-field";
import { ColourHold } from "./colour-hold";
import { MOISTENS, type Moisten, PureeSits } from "./puree-sits";
import { SharedOut } from "./shared-out";
import type { PanelProps } from "./panel-props";

const SIEVE_WORDS: Readonly<Record<Sieve, string>> = {
  none: "no sieve",
  mill: "food mill or ricer",
  chinois: "fine chinois",
  tamis: "drum sieve",
};

/** The vegetable a formula speaks of, by its base or its name; the longest name that fits. */
const guess = (words: string): VegetableId =>
  [...VEGETABLE_IDS]
    .sort((a, b) => b.length - a.length)
    .find(id => words.toLowerCase().includes(id.replace("-", " "))) ?? "carrot";

/** A vegetable as the formula's own line has it: what is bought for it, and the share that peeling leaves, 0–1. */
function onTheLine(walked: Walk, id: VegetableId): { boughtG: number; left: number } | null {
  const line = walked.states.flatMap(s => s.lines).find(l => l.name.includes(id.replace("-", " ")));
  return line && line.purchasedG > 0
    ? { boughtG: line.purchasedG, left: line.massG / line.purchasedG }
    : null;
}

/** From the crate to the pass: what is left, how it sits, what it takes, how often the jar is filled. */
export function PureePanel({ formula, kitchen, walked }: PanelProps) {
  const { document } = formula;
  const [id, setId] = useState<VegetableId>(() => guess(`${document.base.name} ${document.name}`));
  const [grossG, setGross] = useState(() => onTheLine(walked, id)?.boughtG ?? document.base.massG);
  const [sieve, setSieve] = useState<Sieve>("tamis");
  const [want, setWant] = useState(72);
  const [liquid, setLiquid] = useState<Moisten>("milk");
  const [butterPct, setButter] = useState(6);
  // What stood on the scale beats the table of yields.
  const [weighed, setWeighed] = useState<{ readonly cookedG?: number; readonly sievedG?: number }>({});
  const weigh = (key: keyof typeof weighed, label: string) => (
    <TypedField
      label={label}
      shown={weighed[key] === undefined ? "" : printMass(g(weighed[key]))}
      read={readMass("The weight", "kg")}
      onRead={massG => setWeighed({ ...weighed, [key]: massG })}
      width="w-24"
    />
  );
  // The larder's own trim stands on the line already: the sheet must not say another.
  const { left } = onTheLine(walked, id) ?? { left: PUREE_VEGETABLES[id].peelYield };
  const v: PureeVegetable = { ...PUREE_VEGETABLES[id], peelYield: left };
  const balance = pureeBalance({ grossG, vegetable: v, sieve, weighed }, kitchen.facts);
  const tool = toolFor(v.name);
  const floury = isFloury(v.name);
  const jar = kitchen.data.appliances.find(a => a.kind === "blender");
  return (
    <div className="space-y-5">
      <div className="flex flex-wrap items-end gap-4">
        <Choice
          label="vegetable"
          value={id}
          onPick={next => {
            setId(next);
            setWeighed({});
          }}
          options={VEGETABLE_IDS.map(x => [x, PUREE_VEGETABLES[x].name] as const)}
        />
        <TypedField
          label="as bought"
          shown={`${printNumber(grossG / 1000, 2)} kg`}
          read={readMass("As bought", "kg")}
          onRead={setGross}
          width="w-28"
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
          width="w-20"
        />
        {weigh("cookedG", "cooked, weighed")}
        {weigh("sievedG", "sieved, weighed")}
        {Object.keys(weighed).length > 0 && <Button onClick={() => setWeighed({})}>By the table</Button>}
      </div>
      {!balance.ok ? (
        <p role="alert" className="text-beet">
          ✕ {balance.problems[0]?.message}
        </p>
      ) : (
        <PureeSits
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
        <ColourHold name={v.name} massG={balance.ok ? balance.value.trimmedG : 0} facts={kitchen.facts} />
        <SharedOut />
      </div>
      {v.note && (
        <p className="text-sm text-saffron-ink">
          ▲ {v.name}: {v.note}.
        </p>
      )}
    </div>
  );
}

import { useState } from "react";
import {
  type EmulsionInput,
  WINDOWS,
  acidityEstimate,
  breakRisk,
  checkStandards,
  emulsionOf,
  kindOfEmulsion,
  massOf,
} from "~/core/laws/emulsion";
import { type EmulsionOnLine, type Line, emulsionOnLine, updateLine } from "~/core/formula";
import { g, printMass, printNumber } from "~/core/ground/quantity";
import { bandOf } from "~/core/laws/texture";
import { Button } from "../../ui/button";
import { Droplets } from "../../ui/droplets";
import { readMass, readWithin } from "../../ui/read";
import { TypedField } from "../../ui/typed-field";
import { EggSwitch } from "./egg-switch";
import { EmulsionBuilder } from "./emulsion-builder";
import { EmulsionRescue } from "./emulsion-rescue";
import { OilBlend } from "./oil-blend";
import { OilStages } from "./oil-stages";
import type { PanelProps } from "./panel-props";

/** Oil in water: how full it is, what threatens it, how the oil goes in, and what takes it up again when it splits. */
export function EmulsionPanel({ formula, kitchen, walked }: PanelProps) {
  const found = emulsionOnLine(walked, kitchen.facts);
  return found ? (
    <OnTheLine formula={formula} kitchen={kitchen} walked={walked} found={found} />
  ) : (
    <EmulsionBuilder formula={formula} facts={kitchen.facts} />
  );
}

function OnTheLine({
  formula,
  kitchen,
  walked,
  found: { state, input: inPot, way, acidity },
}: PanelProps & { found: EmulsionOnLine }) {
  const [oil, setOil] = useState<number | null>(null);
  const [temperatureC, setTemperature] = useState<number | null>(null);
  const [pace, setPace] = useState(1);
  const [pH, setPH] = useState<number | null>(null);
  const oilG = oil ?? inPot.oilG;
  const input: EmulsionInput = {
    ...inPot,
    oilG,
    temperatureC: temperatureC ?? inPot.temperatureC,
    ...(pH !== null && { measuredPH: pH }),
  };
  const kind = kindOfEmulsion(input);
  const window = WINDOWS[kind];
  const made = emulsionOf(input, kitchen.facts);
  const acid = acidityEstimate(acidity, pH ?? undefined);
  const risk = breakRisk({ ...input, kind, pace, ...(acid.ok && { pH: acid.value.value }) }, kitchen.facts);
  const phaseG = massOf(input.parts);
  const tool = input.tool ?? "whisk";
  const mounted = way === "mounted";
  const fat = mounted ? "butterfat" : "oil";
  // Butter mounted in is thick as the sauce says; what is beaten stands by its droplets.
  const thickness = made.ok ? ((mounted ? state.body?.thickness : made.value.thickness) ?? 0) : 0;
  const oils = state.lines.filter(
    l => (state.sources.get(l.lineId)?.composition.fat ?? 0) > (mounted ? 70 : 90),
  );
  const onTheLine = oils.reduce(
    (m, l) => m + (l.massG * (state.sources.get(l.lineId)?.composition.fat ?? 0)) / 100,
    0,
  );
  const take = () => {
    if (!(onTheLine > 0)) return;
    const more = oilG - inPot.oilG;
    formula.edit(d =>
      oils.reduce(
        (doc, l) =>
          updateLine(doc, l.lineId, {
            amount: { kind: "fixed", massG: Math.round(10 * (l.massG + (more * l.massG) / onTheLine)) / 10 },
            typed: undefined,
          } satisfies Partial<Line>),
        d,
      ),
    );
    setOil(null);
  };
  return (
    <div className="grid gap-x-8 gap-y-5 lg:grid-cols-[13rem_1fr_19rem]">
      <div className="text-center">
        <Droplets fatVolume={made.ok ? made.value.fatVolume : 0.93} />
        <p className="text-sm">
          {made.ok && (
            <>
              <strong>{printNumber(100 * made.value.fatVolume, 1)} %</strong> {fat} by volume,{" "}
              {printNumber(100 * made.value.oilShare, 1)} % by weight
            </>
          )}
        </p>
      </div>
      <div className="space-y-4">
        {made.ok ? (
          <p className="font-display text-xl font-semibold">
            body {printNumber(thickness)}, {bandOf(thickness).name}
            <span className="ml-2 text-sm font-normal text-faded">
              2 % more {fat} moves it by {printNumber(made.value.perOil, 1)};{" "}
              {Number.isFinite(made.value.capacityUsed)
                ? `emulsifier ${printNumber(100 * made.value.capacityUsed)} % used`
                : `nothing in it holds ${fat}`}
            </span>
          </p>
        ) : (
          <p role="alert" className="rounded-md bg-beet-wash p-2 text-beet">
            ✕ {made.problems[0]?.message}
          </p>
        )}
        <div aria-label="Risk of breaking" role="group">
          <p>
            <span className={LEVEL_LOOK[risk.level]}>
              {LEVEL_MARK[risk.level]} risk {risk.level}
            </span>{" "}
            <span className="text-faded">
              {risk.score} of 100;{" "}
              {risk.oilLeftG > 0
                ? `${printMass(g(risk.oilLeftG))} more ${fat} before it is tight`
                : `${printMass(g(-risk.oilLeftG))} of ${fat} past tight`}
            </span>
          </p>
          <ul className="mt-1 space-y-1 text-sm">
            {risk.reasons.map(r => (
              <li key={r.id} className="grid grid-cols-[7rem_1fr] items-center gap-3">
                <span className="h-2 rounded-full bg-linen">
                  <span
                    className="block h-full rounded-full bg-saffron"
                    style={{ width: `${100 * r.share}%` }}
                  />
                </span>
                {r.text}
              </li>
            ))}
          </ul>
        </div>
        <div className="flex flex-wrap items-start gap-3">
          <TypedField
            label={fat}
            shown={printMass(g(oilG))}
            read={readMass(`The ${fat}`)}
            onRead={setOil}
            width="w-28"
          />
          <TypedField
            label="everything at"
            shown={`${printNumber(input.temperatureC)} °C`}
            read={readWithin("The temperature", "°C", -5, 95)}
            onRead={setTemperature}
            width="w-20"
          />
          <TypedField
            label={`${mounted ? "butter" : "oil"}, times the usual pace`}
            shown={`${printNumber(pace, 1)}`}
            read={readWithin("The pace", "", 0, 20)}
            onRead={setPace}
            width="w-20"
          />
          <TypedField
            label="measured pH"
            shown={pH === null ? "" : printNumber(pH, 1)}
            read={readWithin("The pH", "", 1, 10)}
            onRead={setPH}
            hint={acid.ok && pH === null ? `estimated ${printNumber(acid.value.value, 1)}` : undefined}
            width="w-20"
          />
          {oil !== null && Math.abs(oil - inPot.oilG) > 0.05 && oils.length > 0 && (
            <Button look="act" onClick={take}>
              Take this much {mounted ? "butter" : "oil"}
            </Button>
          )}
        </div>
        <EmulsionRescue input={input} facts={kitchen.facts} />
        {!mounted && <EggSwitch formula={formula} kitchen={kitchen} walked={walked} pH={pH} />}
      </div>
      <div className="space-y-4 text-sm">
        {!mounted && <OilStages phaseG={phaseG} oilG={oilG} tool={tool} facts={kitchen.facts} />}
        {!mounted && oils.length > 0 && (
          <OilBlend
            oils={oils.map(l => ({
              neutral: state.sources.get(l.lineId)?.carries?.neutral === true,
              massG: (l.massG * oilG) / Math.max(onTheLine, 0.001),
            }))}
            blade={tool !== "whisk"}
          />
        )}
        <p>
          Make at {window.makeC.join("–")} °C, keep at {window.holdC.join("–")} °C: {window.keeps}.
        </p>
        <details>
          <summary className="text-faded">What names ask for, as remembered</summary>
          <ul className="mt-1 space-y-1">
            {checkStandards(input).map(c => (
              <li key={c.rule}>
                {c.name}: {c.rule}. It has {printNumber(c.hasPct, 1)} %,{" "}
                {c.verdict === "outside" ? `outside, ${printMass(g(c.shortG))} short` : c.verdict}.
              </li>
            ))}
          </ul>
        </details>
      </div>
    </div>
  );
}

const LEVEL_MARK = { low: "✓", moderate: "▲", high: "▲", "do not start": "✕" } as const;
const LEVEL_LOOK = {
  low: "font-bold text-sorrel",
  moderate: "font-bold text-saffron-ink",
  high: "font-bold text-saffron-ink",
  "do not start": "font-bold text-beet",
} as const;

import { useState } from "react";
import { ulid } from "ulid";
import {
  BUILD_KINDS,
  type BuildKind,
  type EmulsionInput,
  type EmulsionKind,
  acidityEstimate,
  acidityOfParts,
  breakRisk,
  buildEmulsion,
  checkStandards,
  emulsionOf,
  loosenEmulsion,
  massOf,
  oilSchedule,
  oilStages,
  rawEggCaution,
  rescueBroken,
  WINDOWS,
} from "~/core/emulsion";
import {
  type Kitchen,
  type Line,
  type StateAfterStep,
  type Walk,
  emulsionInputOf,
  insertStep,
  updateLine,
  updateStep,
} from "~/core/formula";
import { g, printDuration, printMass, printNumber, s } from "~/core/quantity";
import { bandOf } from "~/core/texture";
import { Button } from "../../ui/button";
import { Droplets } from "../../ui/droplets";
import { readMass, readWithin } from "../../ui/read";
import { TypedField } from "../../ui/typed-field";
import type { Formula } from "../use-formula";
import { OilBlend } from "./oil-blend";

/** Oil in water: how full it is, what threatens it, how the oil goes in, and what takes it up again when it splits. */
export function EmulsionPanel({ formula, walked }: { formula: Formula; kitchen: Kitchen; walked: Walk }) {
  const beaten = walked.states.filter(state => state.step.kind === "emulsify");
  const state = beaten.at(-1);
  const input = state ? emulsionInputOf(state.pot) : null;
  return state && input ? (
    <OnTheLine formula={formula} state={state} input={input} />
  ) : (
    <Builder formula={formula} />
  );
}

const kindOf = (input: EmulsionInput): EmulsionKind => {
  const has = (id: Parameters<typeof massOf>[1]) => massOf(input.parts, id) > 0;
  if (input.oilKind === "butterfat") return has("yolk") ? "hollandaise" : "beurre-blanc";
  return has("yolk") || has("whole egg")
    ? "mayonnaise"
    : has("egg white")
      ? "egg-white"
      : has("milk")
        ? "milk"
        : "vinaigrette";
};

function OnTheLine({
  formula,
  state,
  input: found,
}: {
  formula: Formula;
  state: StateAfterStep;
  input: EmulsionInput;
}) {
  const [oil, setOil] = useState<number | null>(null);
  const [temperatureC, setTemperature] = useState<number | null>(null);
  const [pace, setPace] = useState(1);
  const [pH, setPH] = useState<number | null>(null);
  const [split, setSplit] = useState<"no" | "tight" | "broken" | "again">("no");
  const oilG = oil ?? found.oilG;
  const input: EmulsionInput = {
    ...found,
    oilG,
    temperatureC: temperatureC ?? found.temperatureC,
    ...(pH !== null && { measuredPH: pH }),
  };
  const kind = kindOf(input);
  const window = WINDOWS[kind];
  const made = emulsionOf(input);
  const acid = acidityEstimate(acidityOfParts(input.parts), pH ?? undefined);
  const risk = breakRisk({ ...input, kind, pace, ...(acid.ok && { pH: acid.value.value }) });
  const phaseG = massOf(input.parts);
  const tool = input.tool ?? "whisk";
  const plan = oilSchedule(phaseG, oilG, tool);
  const stages = oilStages(phaseG, oilG, tool);
  const oils = state.lines.filter(l => (state.sources.get(l.lineId)?.composition.fat ?? 0) > 90);
  const onTheLine = oils.reduce((m, l) => m + l.massG, 0);
  const take = () => {
    if (!(onTheLine > 0)) return;
    const more = oilG - found.oilG;
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
  const raw = ["yolk", "whole egg", "egg white"].some(id => massOf(input.parts, id as never) > 0);
  return (
    <div className="grid gap-x-8 gap-y-5 lg:grid-cols-[13rem_1fr_19rem]">
      <div className="text-center">
        <Droplets fatVolume={made.ok ? made.value.fatVolume : 0.93} />
        <p className="text-sm">
          {made.ok && (
            <>
              <strong>{printNumber(100 * made.value.fatVolume, 1)} %</strong> oil by volume,{" "}
              {printNumber(100 * made.value.oilShare, 1)} % by weight
            </>
          )}
        </p>
      </div>
      <div className="space-y-4">
        {made.ok ? (
          <p className="font-display text-xl font-semibold">
            body {printNumber(made.value.thickness ?? 0)}, {bandOf(made.value.thickness ?? 0).name}
            <span className="ml-2 text-sm font-normal text-faded">
              2 % more oil moves it by {printNumber(made.value.perOil, 1)};{" "}
              {Number.isFinite(made.value.capacityUsed)
                ? `emulsifier ${printNumber(100 * made.value.capacityUsed)} % used`
                : "nothing in it holds oil"}
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
                ? `${printMass(g(risk.oilLeftG))} more oil before it is tight`
                : `${printMass(g(-risk.oilLeftG))} of oil past tight`}
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
        <div className="flex flex-wrap items-end gap-3">
          <TypedField
            label="oil"
            shown={printMass(g(oilG))}
            read={readMass("The oil")}
            onRead={setOil}
            inputClassName="w-28"
          />
          <TypedField
            label="everything at"
            shown={`${printNumber(input.temperatureC)} °C`}
            read={readWithin("The temperature", "°C", -5, 95)}
            onRead={setTemperature}
            inputClassName="w-20"
          />
          <TypedField
            label="oil, times the usual pace"
            shown={`${printNumber(pace, 1)}`}
            read={readWithin("The pace", "", 0, 20)}
            onRead={setPace}
            inputClassName="w-20"
          />
          <TypedField
            label="measured pH"
            shown={pH === null ? "" : printNumber(pH, 1)}
            read={readWithin("The pH", "", 1, 10)}
            onRead={setPH}
            hint={acid.ok && pH === null ? `estimated ${printNumber(acid.value.value, 1)}` : undefined}
            inputClassName="w-20"
          />
          {oil !== null && Math.abs(oil - found.oilG) > 0.05 && oils.length > 0 && (
            <Button look="act" onClick={take}>
              Take this much oil
            </Button>
          )}
        </div>
        <div className="flex flex-wrap gap-2" role="group" aria-label="It has split">
          {(
            [
              ["tight", "It shines with oil"],
              ["broken", "It has split"],
              ["again", "It has split again"],
            ] as const
          ).map(([id, words]) => (
            <Button key={id} aria-pressed={split === id} onClick={() => setSplit(split === id ? "no" : id)}>
              {words}
            </Button>
          ))}
        </div>
        {split !== "no" && <RescueSteps input={input} kind={kind} hot={window.hot} how={split} />}
      </div>
      <div className="space-y-4 text-sm">
        <div>
          <h3 className="font-semibold">How the oil goes in, by {tool}</h3>
          <table className="mt-1 w-full">
            <tbody className="divide-y divide-rule">
              {stages.map(stage => (
                <tr key={stage.name}>
                  <th scope="row" className="py-1 text-left font-normal">
                    {stage.name}
                  </th>
                  <td className="text-right">to {printMass(g(stage.toG))}</td>
                  <td className="text-right font-semibold">{printMass(g(stage.gPerMin))}/min</td>
                </tr>
              ))}
            </tbody>
          </table>
          {plan.ok && (
            <p className="mt-1 text-faded">
              {plan.value.doses.length} doses, {printDuration(s(plan.value.seconds))}; the first{" "}
              {printMass(g(plan.value.doses[0]?.doseG ?? 0))}.
            </p>
          )}
        </div>
        {oils.length > 0 && (
          <OilBlend
            oils={oils.map(l => ({ name: l.name, massG: (l.massG * oilG) / Math.max(onTheLine, 0.001) }))}
            blade={tool !== "whisk"}
          />
        )}
        <p>
          Make at {window.makeC.join("–")} °C, keep at {window.holdC.join("–")} °C: {window.keeps}.
        </p>
        {raw && (
          <p className="rounded-md bg-saffron-wash p-2 text-saffron-ink">
            ▲ {rawEggCaution(pH ?? undefined)}
          </p>
        )}
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

function RescueSteps({
  input,
  kind,
  hot,
  how,
}: {
  input: EmulsionInput;
  kind: EmulsionKind;
  hot: boolean;
  how: "tight" | "broken" | "again";
}) {
  const done =
    how === "tight"
      ? loosenEmulsion(input, hot)
      : rescueBroken(input, { kind, failedBefore: how === "again" });
  if (!done.ok)
    return (
      <p role="alert" className="text-beet">
        ✕ {done.problems[0]?.message}
      </p>
    );
  return (
    <section aria-label="Rescue" className="rounded-xl border border-rule bg-paper p-4">
      <ol className="list-inside list-decimal space-y-1">
        {done.value.steps.map(step => (
          <li key={step}>{step}</li>
        ))}
      </ol>
      <p className="mt-2 text-sm text-faded">
        Afterwards {printNumber(100 * done.value.after.fatVolume, 1)} % oil by volume, body{" "}
        {printNumber(done.value.after.thickness ?? 0)}.
      </p>
    </section>
  );
}

const KIND_WORDS: Readonly<Record<BuildKind, string>> = {
  mayonnaise: "mayonnaise",
  aioli: "garlic mayonnaise",
  hollandaise: "warm, of yolk and butter",
  "beurre-blanc": "warm, of butter alone",
  "egg-white": "of egg white",
};
/** Larder ids of what a build weighs. */
const LARDER: Readonly<Record<string, string>> = {
  yolk: "egg-yolk",
  "egg white": "egg-white",
  mustard: "mustard",
  vinegar: "wine-vinegar",
  "lemon juice": "lemon-juice",
  garlic: "garlic",
  salt: "salt",
  water: "water",
};

function Builder({ formula }: { formula: Formula }) {
  const [kind, setKind] = useState<BuildKind>("mayonnaise");
  const [totalG, setTotal] = useState(2000);
  const [oilPct, setOilPct] = useState(78);
  const built = buildEmulsion(kind, { totalG, oilPct });
  const put = () => {
    if (!built.ok) return;
    const id = ulid();
    const weigh = (larder: string, massG: number): Line => ({
      id: ulid(),
      of: { larder },
      amount: { kind: "fixed", massG: Math.round(10 * massG) / 10 },
      certainty: "stated",
    });
    const { oilG, butterG, input } = built.value;
    formula.edit(d =>
      updateStep(insertStep(d, "emulsify", id), id, {
        tool: input.tool ?? "whisk",
        lines: [
          ...input.parts.flatMap(p => (LARDER[p.id] ? [weigh(LARDER[p.id] ?? "", p.massG)] : [])),
          weigh(butterG > 0 ? "butter" : "sunflower-oil", butterG > 0 ? butterG : oilG),
        ],
      }),
    );
  };
  return (
    <div className="space-y-4">
      <p className="text-faded">
        Nothing is beaten on this line yet. Build an emulsion and put it on the line.
      </p>
      <div className="flex flex-wrap items-end gap-4">
        <label className="text-xs text-faded">
          kind
          <select
            value={kind}
            onChange={e => setKind(e.currentTarget.value as BuildKind)}
            className="block rounded-md border border-rule bg-enamel px-2 py-1.5 text-base text-ink"
          >
            {BUILD_KINDS.map(k => (
              <option key={k} value={k}>
                {KIND_WORDS[k]}
              </option>
            ))}
          </select>
        </label>
        <TypedField
          label="in all"
          shown={printMass(g(totalG))}
          read={readMass("In all")}
          onRead={setTotal}
          inputClassName="w-28"
        />
        <TypedField
          label="oil by weight"
          shown={`${printNumber(oilPct)} %`}
          read={readWithin("The oil", "%", 20, 88)}
          onRead={setOilPct}
          inputClassName="w-24"
        />
        <Button look="act" onClick={put} disabled={!built.ok}>
          Put it on the line
        </Button>
      </div>
      {built.ok ? (
        <p>
          {built.value.yolks > 0 && <strong>{built.value.yolks} yolks, </strong>}
          {built.value.input.parts.map(p => `${printMass(g(p.massG))} ${p.id}`).join(", ")},{" "}
          <strong>{printMass(g(built.value.butterG || built.value.oilG))}</strong>{" "}
          {built.value.butterG > 0 ? "butter" : "oil"}.
        </p>
      ) : (
        <p role="alert" className="text-beet">
          ✕ {built.problems[0]?.message}
        </p>
      )}
    </div>
  );
}

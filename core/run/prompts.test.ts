import { describe, expect, test } from "vitest";
import { STOCK_ID } from "../../demo/formulas";
import { type FormulaDocument, type Step, STEP_KINDS, type StepKindName } from "../formula";
import { degC } from "../ground/quantity";
import {
  type RunEvent,
  type RunPayload,
  UNKNOWN_BAND,
  fold,
  forecastOf,
  lastMinute,
  openTicks,
  promptsNow,
  watchNow,
} from ".";
import { KITCHEN, demo, doneBefore, event, ingredient, minute } from "./testing";

const stock = demo(STOCK_ID);
/** A formula of one step after another: its kind, what it says of itself, what goes in by weight. */
const formula = (
  ...steps: readonly (readonly [StepKindName, object, Readonly<Record<string, number>>?])[]
): FormulaDocument => ({
  ...stock,
  steps: steps.map(
    ([kind, fields, lines = {}], i) =>
      ({
        ...STEP_KINDS[kind].blank(`s${i}`),
        ...fields,
        lines: Object.entries(lines).map(([larder, massG]) => ({
          id: `s${i}-${larder}`,
          of: { larder },
          amount: { kind: "fixed", massG },
          certainty: "stated",
        })),
      }) as Step,
  ),
});
/** What is said at a step once it was begun, after what was logged in it. */
function said(document: FormulaDocument, index: number, payloads: readonly RunPayload[], begun = true) {
  const stepId = document.steps[index]?.id ?? "";
  const run = fold(
    [
      event(0, { kind: "started", burnerId: "open-1" }),
      ...doneBefore(document, index),
      ...(begun ? [event(100, { kind: "step-begun", stepId })] : []),
      ...payloads.map((payload, i) => event(101 + i, payload)),
    ],
    document,
    KITCHEN,
  );
  const forecast = forecastOf(run, minute(110), () => UNKNOWN_BAND);
  return { prompts: promptsNow(run, forecast, KITCHEN), progress: run.steps[index], run };
}
const plain = (text: string) => text.replace(/[\u00a0\u202f]/g, " ");
const messageOf = (prompts: ReturnType<typeof promptsNow>, code: string) =>
  prompts.filter(prompt => prompt.code === code).map(prompt => plain(prompt.message))[0];

describe("what is easily forgotten", () => {
  test("bones that come out of a stock are worth a second wetting: litres and °Brix", () => {
    const strain = stock.steps.findIndex(step => step.kind === "strain");
    const { prompts } = said(stock, strain, []);
    const words = messageOf(prompts, "SPENT_BONES") ?? "";
    expect(words).toMatch(/with ([\d.]+) l of water, 4 h, about ([\d.]+) l at ([\d.]+) °Bx/);
    const [, water = 0, litres = 0, brix = 0] =
      /with ([\d.]+) l of water, 4 h, about ([\d.]+) l at ([\d.]+)/.exec(words)?.map(Number) ?? [];
    // Trade ratio, common practice, no source: 7 kg and 7 l give about 4.5 l at 1.4 °Bx.
    expect(litres / water).toBeGreaterThan(0.35);
    expect(litres / water).toBeLessThan(0.95);
    expect(brix).toBeGreaterThan(0.4);
    expect(brix).toBeLessThan(3);
  });
  test("too much fat in the pan for the flour is poured off first", () => {
    const gravy = formula(
      ["add", { durationMin: 1 }, { "beef-dripping": 95 }],
      ["thicken", { form: "roux", rouxHot: false, durationMin: 5 }, { "wheat-flour": 40 }],
    );
    const words = messageOf(said(gravy, 1, [], false).prompts, "PAN_FAT") ?? "";
    expect(words).toMatch(/40 g of flour take 40 g\. Pour off 5\d g into the fat jar first/);
  });
  test("an oven that reads 153 °C instead of 160 °C: look a quarter of an hour later in three hours", () => {
    const braise = formula(
      ["add", { durationMin: 1 }, { "beef-shin": 2000, water: 1000 }],
      ["braise", { where: "oven", atC: 160, durationMin: 180, lid: "on" }],
    );
    const probe = (temperatureC: number): RunPayload => ({
      kind: "probed",
      stepId: "s1",
      temperatureC,
      where: "oven",
    });
    expect(messageOf(said(braise, 1, [probe(150), probe(156)]).prompts, "OVEN_DRIFT")).toMatch(
      /153 °C on average of 2 readings: look 15 min later/,
    );
    expect(messageOf(said(braise, 1, [probe(160)]).prompts, "OVEN_DRIFT")).toBeUndefined();
    expect(messageOf(said(braise, 1, [probe(60)]).prompts, "OVEN_DRIFT")).toMatch(/no oven for this/);
  });
  test("juices that come in after a reduction: how long brings it back", () => {
    const sauce = formula(
      ["add", { durationMin: 1 }, { "house-chicken-stock": 800 }],
      ["reduce", { target: { to: 0.4 } }],
      ["rest", { durationMin: 5 }],
    );
    const juices: RunPayload = {
      kind: "put-in",
      stepId: "s2",
      ingredient: ingredient("meat-juices"),
      massG: 55,
      why: "juices",
    };
    expect(messageOf(said(sauce, 2, [juices]).prompts, "JUICES_IN")).toMatch(
      /^55 g of juices came in .* about .* bring 3\d\d g back to 3\d\d g\.$/,
    );
    expect(said(sauce, 2, []).prompts).toEqual([]);
  });
  test("flour by the piece is counted on the litre", () => {
    const sauce = formula(
      ["add", { durationMin: 1 }, { "house-chicken-stock": 1100 }],
      ["hold", { holdC: 90, durationMin: 30 }],
    );
    const flour: RunPayload = {
      kind: "put-in",
      stepId: "s1",
      ingredient: ingredient("wheat-flour"),
      massG: 37.5,
      why: "other",
    };
    expect(messageOf(said(sauce, 1, [flour]).prompts, "KNEADED")).toMatch(
      /38 g of flour .* 3\d g on the litre/,
    );
  });
  test("under a stalling blade every splash is measured, and what it thinned is said", () => {
    const puree = formula(
      ["add", { durationMin: 1 }, { celeriac: 1500, cream: 400 }],
      ["blend", { tool: "jar blender", durationMin: 4 }],
    );
    const splash: RunPayload = {
      kind: "put-in",
      stepId: "s1",
      ingredient: ingredient("house-chicken-stock"),
      massG: 120,
      why: "thin",
    };
    expect(messageOf(said(puree, 1, []).prompts, "BLADE_STALLS")).toMatch(
      /dry matter from ([\d.]+) to ([\d.]+) %/,
    );
    const words = messageOf(said(puree, 1, [splash]).prompts, "THINNED") ?? "";
    const [, before = 0, after = 0] = /dry matter ([\d.]+) → ([\d.]+) %/.exec(words)?.map(Number) ?? [];
    expect(words).toContain("2 020 g now");
    expect(after).toBeLessThan(before);
    expect(messageOf(said(puree, 1, [], false).prompts, "LOADS")).toMatch(/loads of \d+ ml/);
  });
  test("sugar that melts says what to do by its heat", () => {
    const caramel = formula(
      ["add", { durationMin: 1 }, { sugar: 300, water: 90 }],
      ["reduce", { target: { stopC: degC(160) } }],
    );
    const probe = (temperatureC: number): RunPayload => ({
      kind: "probed",
      stepId: "s1",
      temperatureC,
      where: "pot",
    });
    expect(messageOf(said(caramel, 1, []).prompts, "CARAMEL")).toMatch(/^Melting: swirl, do not stir/);
    expect(messageOf(said(caramel, 1, [probe(163)]).prompts, "CARAMEL")).toMatch(/take it off a shade early/);
    expect(messageOf(said(caramel, 1, [probe(171)]).prompts, "CARAMEL")).toMatch(/^Amber: off the heat now/);
  });
});

test("a step to a mark with a cue of its own asks for both", () => {
  const duxelles = formula(
    ["add", { durationMin: 1 }, { mushroom: 1000 }],
    ["dry", { lossPct: 60, durationMin: 12, cue: "it hisses and bubbles no more" }],
  );
  const { progress } = said(duxelles, 1, []);
  expect(progress && openTicks(progress)).toEqual(["Seen and heard: it hisses and bubbles no more"]);
  const plain = said(
    stock,
    stock.steps.findIndex(step => step.kind === "reduce"),
    [],
  ).progress;
  expect(plain ? openTicks(plain) : []).toEqual([]);
});

describe("what rings before a reduction is there", () => {
  const glaze = formula(
    ["add", { durationMin: 1 }, { "house-chicken-stock": 420 }],
    ["reduce", { target: { to: 0.25 } }],
  );
  const at = (now: number, events: readonly RunEvent[] = []) => {
    const { run, progress } = said(glaze, 1, []);
    const forecast = forecastOf(run, now, () => UNKNOWN_BAND);
    if (!progress || !forecast) throw new Error("Nothing is foreseen.");
    return { alarm: lastMinute(progress, forecast, events, now), forecast };
  };
  test("a minute before at the latest, with the mass it stands at then", () => {
    const { alarm, forecast } = at(minute(100));
    expect(alarm?.rings).toBe(false);
    const lead = forecast.endsAt - (alarm?.dueAt ?? 0);
    expect(lead).toBeGreaterThanOrEqual(60_000);
    expect(lead).toBeLessThanOrEqual(5 * 60_000);
    const mass = Number(/(\d+)/.exec(alarm?.name ?? "")?.[1]);
    expect(mass).toBeGreaterThan(105);
    expect(mass).toBeLessThan(420);
    expect(at(forecast.endsAt - 30_000).alarm?.rings).toBe(true);
  });
  test("is silent once it was heard", () => {
    const { alarm } = at(minute(100));
    if (!alarm) throw new Error("Nothing would ring.");
    const { id: timerId, dueAt } = alarm;
    const heard = event((dueAt - minute(0)) / 60_000, { kind: "timer-heard", stepId: "s1", timerId });
    expect(at(dueAt + 30_000).alarm?.rings).toBe(true);
    expect(at(dueAt + 30_000, [heard]).alarm).toBeNull();
  });
});

test("C142: 57 °C at a hold is under the limit: heat it back within two hours, after that away", () => {
  const held = formula(
    ["add", { durationMin: 1 }, { "house-chicken-stock": 2000 }],
    ["hold", { holdC: 65, durationMin: 300 }],
  );
  const probe = (temperatureC: number): RunPayload => ({
    kind: "probed",
    stepId: "s1",
    temperatureC,
    where: "pot",
  });
  const messages = (now: number, ...read: number[]) => {
    const { run, progress } = said(held, 1, read.map(probe));
    const forecast = forecastOf(run, now, () => UNKNOWN_BAND);
    return progress
      ? watchNow(progress, forecast, KITCHEN, now).flatMap(w =>
          w.code === "HELD_COLD" ? [plain(w.message)] : [],
        )
      : [];
  };
  expect(messages(minute(130), 66)).toEqual([]);
  expect(messages(minute(131), 66, 57)[0]).toMatch(
    /^57.0 °C is under 60 °C.*30 min.*Heat it to 75 °C now, once/,
  );
  expect(messages(minute(230), 66, 57)[0]).toMatch(/Throw it away\. Your food code decides\.$/);
  expect(messages(minute(131), 57, 66)).toEqual([]);
});

import { describe, expect, test } from "vitest";
import { GLACE_ID, STOCK_ID } from "../../demo/formulas";
import { DEMO_KITCHEN } from "../../demo/kitchen";
import { InvariantError } from "../ground/result";
import { POOLS, accountedFor, liquorMass, potMass } from "../things/pot";
import { type RunEvent, UNKNOWN_BAND, fold, forecastOf, seasonedIn } from ".";
import { KITCHEN as kitchen, demo, doneBefore, event, ingredient as by, minute } from "./testing";

const [stock, glace] = [demo(STOCK_ID), demo(GLACE_ID)];

const reducing = glace.steps.findIndex(step => step.kind === "reduce");
const stepId = glace.steps[reducing]?.id ?? "";
/** The glace, its reduction begun at minute 10. */
const begun = [
  event(0, { kind: "started", burnerId: "plate-hot" }),
  ...doneBefore(glace, reducing),
  event(10, { kind: "step-begun", stepId }),
];
const cook = (...more: RunEvent[]) => fold([...begun, ...more], glace, kitchen);
const at = (run: ReturnType<typeof cook>) => {
  const progress = run.steps[reducing];
  if (!progress?.foreseen) throw new InvariantError("The reduction is gone.");
  return { progress, foreseen: progress.foreseen, legs: progress.legs };
};
const ends = (run: ReturnType<typeof cook>, now = 20) =>
  forecastOf(run, minute(now), () => UNKNOWN_BAND)?.endsAt ?? 0;
const WEAK = DEMO_KITCHEN.burners.find(b => b.kind === "gas-pro-small") ?? DEMO_KITCHEN.burners.at(-1);
const weak = WEAK?.id ?? "";

describe("a step that is changed under way", () => {
  test("comes to the same end on another burner, sooner or later", () => {
    const moved = cook(event(30, { kind: "moved", stepId, burnerId: weak }));
    expect(at(moved).legs).toHaveLength(2);
    expect(at(moved).progress.burnerId).toBe(weak);
    expect(at(moved).foreseen.volumeMl ?? 0).toBeCloseTo(at(cook()).foreseen.volumeMl ?? 1, -1);
    expect(ends(moved, 31)).toBeGreaterThan(ends(cook(), 31));
  });
  test("what is changed before anything has happened changes nothing of the books", () => {
    const same = at(cook()).progress.burnerId ?? "";
    const moved = cook(event(40, { kind: "moved", stepId, burnerId: same }));
    expect(Math.abs(ends(moved, 41) - ends(cook(), 41))).toBeLessThan(3 * 60_000);
  });
  test("half a litre of water on the way has to go again", () => {
    const topped = cook(
      event(30, { kind: "put-in", stepId, ingredient: by("water"), massG: 500, why: "top up" }),
    );
    expect(ends(topped, 31)).toBeGreaterThan(ends(cook(), 31) + 2 * 60_000);
    expect(at(topped).foreseen.massG).toBeCloseTo(at(cook()).foreseen.massG, -2);
    for (const pool of POOLS)
      expect(accountedFor(at(topped).foreseen.pot)[pool]).toBeCloseTo(
        at(topped).foreseen.pot.entered[pool],
        5,
      );
  });
  test("off the fire nothing leaves, and the end moves on with the clock", () => {
    const off = cook(event(30, { kind: "moved", stepId, burnerId: null }));
    expect(ends(off, 60) - ends(off, 40)).toBe(20 * 60_000);
    const mass = (now: number) => forecastOf(off, minute(now), () => UNKNOWN_BAND)?.massNowG;
    expect(mass(60)).toBe(mass(40));
    const back = cook(
      event(30, { kind: "moved", stepId, burnerId: null }),
      event(50, { kind: "moved", stepId, burnerId: at(cook()).progress.burnerId }),
    );
    expect(ends(back, 51)).toBeGreaterThan(ends(cook(), 51) + 19 * 60_000);
  });
  test("a ladleful out is out of the books of the pot, and counted as poured", () => {
    const ladled = cook(event(12, { kind: "taken-out", stepId, what: "ladled", massG: 300 }));
    const { pot } = at(ladled).foreseen;
    const gone = Object.values(pot.exits.poured).reduce((a, b) => a + b, 0);
    expect(gone).toBeCloseTo(300, 3);
  });
  test("more than there is cannot be ladled out, and that is said", () => {
    const ladled = cook(event(12, { kind: "taken-out", stepId, what: "ladled", massG: 90_000 }));
    expect(ladled.problems.map(p => p.message).join()).toMatch(/is in the pot|not/i);
  });
  test("the readings of both legs are followed: a slow start is not forgotten over a change", () => {
    const first = at(cook()).progress.from;
    const half = potMass(first) * 0.95;
    const read = cook(
      event(40, { kind: "weighed", stepId, netG: half }),
      event(45, { kind: "lid", stepId, lid: "ajar" }),
      event(60, { kind: "weighed", stepId, netG: half * 0.96 }),
    );
    const forecast = forecastOf(read, minute(61), () => UNKNOWN_BAND);
    expect(forecast?.pace?.times ?? 1).not.toBe(1);
    expect(forecast?.lastAgainst?.foreseenG ?? 0).toBeGreaterThan(0);
  });
  test("where the cook has put the pot it stays for the steps that follow", () => {
    const simmer = stock.steps.findIndex(step => step.kind === "simmer");
    const run = fold(
      [
        event(0, { kind: "started", burnerId: "plate-hot" }),
        ...stock.steps
          .slice(0, simmer)
          .flatMap((step, i) => [
            event(i * 2, { kind: "step-begun", stepId: step.id }),
            event(i * 2 + 1, { kind: "step-done", stepId: step.id }),
          ]),
        event(40, { kind: "moved", stepId: stock.steps[simmer]?.id ?? "", burnerId: weak }),
      ],
      stock,
      kitchen,
    );
    expect(run.steps.slice(simmer).every(step => step.burnerId === weak)).toBe(true);
  });
  test("what goes in after the last step is in what was made", () => {
    const done = event(200, { kind: "step-done", stepId });
    const rest = glace.steps
      .slice(reducing + 1)
      .flatMap((step, i) => [
        event(201 + i, { kind: "step-begun", stepId: step.id }),
        event(201.5 + i, { kind: "step-done", stepId: step.id }),
      ]);
    const last = glace.steps.at(-1)?.id ?? "";
    const plain = cook(done, ...rest);
    const salted = cook(
      done,
      ...rest,
      event(300, { kind: "put-in", stepId: last, ingredient: by("salt"), massG: 5, why: "season" }),
    );
    expect(liquorMass(salted.pot) - liquorMass(plain.pot)).toBeCloseTo(5, 6);
  });
});

describe("seasoning by taste", () => {
  test("C119: four doses, their total, and 90 % of it to begin with next time", () => {
    const doses = [27.5, 5, 5, 4, 3].map((massG, i) =>
      event(20 + i, { kind: "put-in", stepId, ingredient: by("salt"), massG, why: "season" }),
    );
    const run = cook(...doses);
    const [salt] = seasonedIn(run);
    expect(salt?.totalG).toBeCloseTo(44.5, 9);
    expect(salt?.nextFirstG).toBeCloseTo(40, 0);
    expect(salt?.doses).toHaveLength(5);
  });
});

import { describe, expect, test } from "vitest";
import { DEMO_FORMULAS } from "../../../demo/formulas";
import { DEMO_KITCHEN } from "../../../demo/kitchen";
import { bandOf } from "../../laws/texture";
import {
  FIGURES,
  balanceAlong,
  bodyAcross,
  bindingsFor,
  explain,
  intervalsAlong,
  openKitchen,
  servedAtC,
  walk,
  withBinding,
  workBackwards,
} from "..";
import { valueOf } from "../../ground/result";

const kitchen = openKitchen(DEMO_KITCHEN);
const demo = (id: string) => {
  const found = DEMO_FORMULAS[id];
  if (!found) throw new Error(`The demo formula ${id} is gone.`);
  return found;
};
const bodyOf = (document: ReturnType<typeof demo>) => walk(document, kitchen).states.at(-1)?.body;

describe("body along the line", () => {
  test("the demo sauces are as thick as their names promise", () => {
    expect(bandOf(bodyOf(demo("smoked-trout-veloute"))?.thickness ?? 0).name).toMatch(/coat|nappe/);
    expect(bandOf(bodyOf(demo("guinea-fowl-brown-stock"))?.thickness ?? 99).name).toBe("broth");
    expect(bandOf(bodyOf(demo("walnut-oil-mayonnaise"))?.thickness ?? 0).id).toBeGreaterThanOrEqual(7);
    expect(bandOf(bodyOf(demo("salsify-puree"))?.thickness ?? 0).id).toBeGreaterThanOrEqual(5);
  });
  test("C131 what is not cooked is served cold, what is cooked hot; the formula may say otherwise", () => {
    expect(servedAtC(demo("walnut-oil-mayonnaise"))).toBe(20);
    expect(servedAtC(demo("smoked-trout-veloute"))).toBe(60);
    const cold = bodyOf({ ...demo("smoked-trout-veloute"), servedC: 20 });
    expect(cold?.thickness ?? 0).toBeGreaterThan(bodyOf(demo("smoked-trout-veloute"))?.thickness ?? 0);
  });
  test("C131 hot, on the plate, cold: thicker as it cools, a gel where its gelatin holds it", () => {
    const across = (id: string) => {
      const last = walk(demo(id), kitchen).states.at(-1);
      return last?.body ? bodyAcross(last.pot, last.body, kitchen.facts) : [];
    };
    const veloute = across("smoked-trout-veloute").map(a => a.thickness as number);
    expect(veloute).toHaveLength(3);
    expect(veloute[1]).toBeGreaterThan(veloute[0] ?? 100);
    expect(veloute[2]).toBeGreaterThan(veloute[1] ?? 100);
    expect(across("guinea-fowl-glace").at(-1)).toMatchObject({ words: "cold", thickness: "sets" });
    expect(across("walnut-oil-mayonnaise")).toEqual([]);
  });
  test("it grows when the roux is wetted, and not before", () => {
    const states = walk(demo("smoked-trout-veloute"), kitchen).states;
    const bind = states.findIndex(s => s.step.kind === "thicken");
    expect(FIGURES.body.of(states[bind] as never) ?? 0).toBeGreaterThan(30);
  });
  test("a browner roux binds less; the step says so", () => {
    const white = demo("smoked-trout-veloute");
    const brown = {
      ...white,
      steps: white.steps.map(s => (s.kind === "thicken" ? { ...s, colour: "dark" as const } : s)),
    };
    expect(bodyOf(brown)?.thickness ?? 99).toBeLessThan((bodyOf(white)?.thickness ?? 0) - 10);
  });
  test("its interval is at least that of the model, and can be asked", () => {
    const document = demo("smoked-trout-veloute");
    const walked = walk(document, kitchen);
    const last = walked.states.length - 1;
    const band = intervalsAlong(document, DEMO_KITCHEN).at(-1)?.figures.body;
    const sd = walked.states[last]?.body?.sd ?? 0;
    expect((band?.value ?? 0) - (band?.lo ?? 0)).toBeGreaterThanOrEqual(1.645 * sd - 1e-6);
    const asked = explain({ ask: "figure", step: last, figure: "body" }, document, walked, kitchen);
    expect(asked?.inputs.map(i => i.label)).toContain("starch, as flour");
  });
});

test("a purée made apart is one of the ways: its grams, no gluten, nothing put on the line by itself", () => {
  const document = demo("smoked-trout-veloute");
  const walked = walk(document, kitchen);
  const now = walked.states.at(-1)?.body?.thickness ?? 0;
  const [some, more] = [now + 4, now + 8].map(target =>
    bindingsFor(document, walked, kitchen, target).find(way => way.id === "puree"),
  );
  expect(some?.thickness).toBeCloseTo(now + 4, 1);
  expect(more?.lines[0]?.massG).toBeGreaterThan(some?.lines[0]?.massG ?? Infinity);
  expect(some?.cost).toBeGreaterThan(0);
  expect(some?.does.join()).toContain("no gluten");
  if (some) expect(withBinding(document, some, () => "x")).toBe(document);
});

describe("C20, C78, C116 every way to a body, compared", () => {
  const document = demo("smoked-trout-veloute");
  const walked = walk(document, kitchen);
  const ways = bindingsFor(document, walked, kitchen, 52);
  test("roux, beurre manié, starches, rice, liaison and reduction, each with grams and what it does", () => {
    expect(ways.map(w => w.id)).toEqual(
      expect.arrayContaining(["roux", "beurre-manie", "corn", "arrowroot", "rice", "reduction"]),
    );
    const roux = ways.find(w => w.id === "roux");
    expect(roux?.does.join()).toMatch(/gluten.*milk/);
    expect(ways.find(w => w.id === "corn")?.does.join()).toMatch(/no gluten of its own/);
    for (const way of ways) expect(way.thickness).toBeCloseTo(52, 2);
    expect(ways.find(w => w.id === "reduction")?.saltPct ?? 0).toBeGreaterThan(roux?.saltPct ?? 0);
  });
  test("C85 a liaison is offered where a little is missing, with its window; never as a custard", () => {
    const near = bindingsFor(document, walked, kitchen, 45).find(w => w.id === "liaison");
    expect(near?.does.join()).toMatch(/egg and milk/);
    expect(near?.warnings.join()).toMatch(/Window 75–/);
    expect(ways.some(w => w.id === "liaison")).toBe(false);
  });
  test.each(["corn", "roux"])("put on the line by %s, the walk ends near it", id => {
    const way = ways.find(w => w.id === id);
    if (!way) throw new Error(`no ${id}`);
    let n = 0;
    const bound = withBinding(document, way, () => `new-${n++}`);
    const kinds = bound.steps.map(s => s.kind);
    expect(kinds.lastIndexOf("thicken")).toBeLessThan(kinds.lastIndexOf("season"));
    // Its own minutes of simmering boil off a little more.
    expect(Math.abs((bodyOf(bound)?.thickness ?? 0) - 52)).toBeLessThan(6);
  });
});

describe("H body as a target", () => {
  test("C121 worked backwards, the flour moves until the body is there", () => {
    const document = demo("smoked-trout-veloute");
    const flour = document.steps
      .flatMap(s => s.lines)
      .find(l => "larder" in l.of && l.of.larder === "wheat-flour");
    if (!flour) throw new Error("no flour");
    const bounded = {
      ...document,
      targets: [{ what: "body" as const, value: 50, tolerance: 1 }],
      steps: document.steps.map(s => ({
        ...s,
        lines: s.lines.map(l => (l.id === flour.id ? { ...l, bounds: { minG: 20, maxG: 600 } } : l)),
      })),
    };
    const found = valueOf(workBackwards(bounded as never, kitchen));
    expect(found.achieved[0]?.met).toBe(true);
    expect(bodyOf(found.document)?.thickness ?? 0).toBeCloseTo(50, 0);
  });
});

describe("C123 balance hangs from the house’s level", () => {
  test("an unsalted copy hangs low on salt and on nothing else", () => {
    const document = demo("smoked-trout-veloute");
    const states = walk(document, kitchen).states;
    const salted = balanceAlong(document, states, kitchen.facts);
    expect(Math.abs((salted?.now.steps.salt ?? 0) - (salted?.level.steps.salt ?? 9))).toBeLessThan(0.3);
    const flat = { ...document, steps: document.steps.filter(s => s.kind !== "season") };
    const bland = balanceAlong(flat, walk(flat, kitchen).states, kitchen.facts);
    expect((bland?.level.steps.salt ?? 0) - (bland?.now.steps.salt ?? 9)).toBeGreaterThan(0.2);
  });
});

import { describe, expect, test } from "vitest";
import { GLACE_ID } from "../../demo/formulas";
import type { FormulaDocument } from "../formula";
import { type RunEvent, UNKNOWN_BAND, fold, forecastOf, nextThings } from ".";
import { KITCHEN as kitchen, START, demo, event } from "./testing";

const glace = demo(GLACE_ID);
const pot = (key: string, document: FormulaDocument, events: readonly RunEvent[], now: number) => {
  const state = fold([event(0, { kind: "started", burnerId: "open-1" }), ...events], document, kitchen);
  return { key, state, forecast: forecastOf(state, now, () => UNKNOWN_BAND), timers: [] };
};
/** Something of twelve minutes that wants watching. */
const watched: FormulaDocument = {
  ...glace,
  name: "watched",
  steps: [
    {
      id: "a",
      kind: "add",
      durationMin: 12,
      lines: [
        { id: "w", of: { larder: "cream" }, amount: { kind: "fixed", massG: 1000 }, certainty: "stated" },
      ],
    },
  ],
};

describe("what comes next for the section", () => {
  test("C14: what wants watching while another is watched is offered for a minute after it", () => {
    const now = START + 5 * 60_000;
    const cream = pot("cream", watched, [event(0, { kind: "step-begun", stepId: "a" })], now);
    const caramel = pot("caramel", watched, [], now);
    const things = nextThings([cream, caramel], now);
    const clash = things.find(thing => thing.key === "caramel")?.clash;
    expect(clash?.key).toBe("cream");
    const end = cream.forecast?.endsAt ?? 0;
    expect(clash?.betterAt).toBe(end + 60_000);
    expect(things.find(thing => thing.key === "cream")?.clash).toBeNull();
  });
  test("they stand in order of time, a hand-over with its own", () => {
    const now = START + 5 * 60_000;
    const handed = pot(
      "glace",
      glace,
      [
        event(1, { kind: "step-begun", stepId: glace.steps[0]?.id ?? "" }),
        event(2, {
          kind: "handed-over",
          stepId: glace.steps[0]?.id ?? "",
          toPersonId: "tomas",
          next: "skim it",
          nextAt: new Date(START + 30 * 60_000).toISOString(),
        }),
      ],
      now,
    );
    const things = nextThings([handed], now);
    expect(things.map(t => t.at)).toEqual([...things.map(t => t.at)].sort((a, b) => a - b));
    expect(things.find(t => t.what === "handed over")?.words).toBe("skim it");
  });
});

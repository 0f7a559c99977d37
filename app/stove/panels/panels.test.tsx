import { cleanup, render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { afterEach, describe, expect, test, vi } from "vitest";
import type { RunPayload } from "~/core/run";
import { DEMO_KITCHEN } from "~/demo/kitchen";
import { WentWrongPanel, readClock } from "./more";
import { readPutIn } from "./put-in";
import { TouchPanel } from "./touch";

afterEach(cleanup);

describe("what went in, as a cook types it", () => {
  const read = (text: string, jar: { before: string; after: string } | null = null) => {
    const found = readPutIn(text, jar, DEMO_KITCHEN.ingredients, "s1");
    return found.ok
      ? found.value.map(({ ingredient, massG, why, counted }) => [ingredient.id, massG, why, counted])
      : (found.problems[0]?.message ?? "");
  };
  test.each([
    ["5 g salt", [["salt", 5, "season", undefined]]],
    ["1 l water", [["water", 998, "top up", "1 l water"]]],
    ["16 × 8 g juices", [["meat-juices", 128, "juices", undefined]]],
  ])("%s", (typed, wanted) => {
    const found = read(typed);
    if (typeof found === "string") throw new Error(found);
    expect(found.map(([id, , why]) => [id, why])).toEqual(wanted.map(([id, , why]) => [id, why]));
    expect(Number(found[0]?.[1])).toBeCloseTo(Number(wanted[0]?.[1]), 0);
  });
  test("kneaded butter by the piece is half flour and half butter", () => {
    expect(read("5 x 15 g kneaded butter")).toEqual([
      ["wheat-flour", 37.5, "other", undefined],
      ["butter", 37.5, "other", undefined],
    ]);
  });
  test("by the jar, before and after", () => {
    expect(read("salt", { before: "500 g", after: "497 g" })).toEqual([["salt", 3, "season", undefined]]);
    expect(read("salt", { before: "497 g", after: "500 g" })).toMatch(/\w/);
  });
  test("what is no amount of anything is asked about", () => {
    expect(read("some")).toMatch(/\w/);
    expect(read("5 g")).toMatch(/Say what it was too|\w/);
  });
});

test("a time of the clock is the next one the kitchen shows", () => {
  const now = Date.UTC(2026, 10, 30, 17, 20);
  expect(readClock("18:30", now, "UTC")).toBe(Date.UTC(2026, 10, 30, 18, 30));
  expect(readClock("at 9.15", now, "UTC")).toBe(Date.UTC(2026, 11, 1, 9, 15));
  expect(readClock("soon", now, "UTC")).toBeNull();
  expect(readClock("25:00", now, "UTC")).toBeNull();
});

test("a touch is logged beside the probe, and the kitchen’s own map stands below", async () => {
  const logged: RunPayload[] = [];
  const felt = [
    { touch: "soft", temperatureC: 50.2 },
    { touch: "soft", temperatureC: 52.8 },
    { touch: "firm", temperatureC: 63 },
  ] as const;
  render(<TouchPanel stepId="s1" felt={felt} shown={[]} onLog={p => logged.push(p)} onClose={() => {}} />);
  expect(screen.getByText(/soft 50\.2–52\.8, on average 51\.5 °C \(2\); firm 63\.0 °C \(1\)/)).toBeTruthy();
  const log = screen.getByRole("button", { name: "Log it" });
  await userEvent.click(screen.getByRole("button", { name: "springy" }));
  expect(log).toHaveProperty("disabled", true);
  await userEvent.type(screen.getByLabelText("the middle, by the probe"), "57,5");
  await userEvent.click(log);
  expect(logged).toEqual([{ kind: "felt", stepId: "s1", touch: "springy", temperatureC: 57.5 }]);
});

test("a loss says what it had cost before it is logged", async () => {
  const log = vi.fn();
  render(
    <WentWrongPanel
      stepId="s1"
      fixes={[]}
      costOf={lostG => `${(lostG * 0.0042).toFixed(2)} EUR`}
      onLog={log}
      onClose={() => {}}
    />,
  );
  await userEvent.click(screen.getByRole("button", { name: "boiled over" }));
  await userEvent.type(screen.getByLabelText("how much was lost"), "600 g");
  expect(screen.getByText("That had cost about 2.52 EUR.")).toBeTruthy();
  await userEvent.click(screen.getByRole("button", { name: "Log it" }));
  expect(log).toHaveBeenCalledWith({ kind: "incident", stepId: "s1", what: "boiled over", lostG: 600 });
});

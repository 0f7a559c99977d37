import { cleanup, render, screen } from "@testing-library/react";
import { describe, expect, test } from "vitest";
import { oilSchedule } from "~/core/laws/emulsion";
import { NOMINAL_FACTS } from "~/core/ground/facts";
import { openKitchen, walk } from "~/core/formula";
import { liquorMass } from "~/core/things/pot";
import { valueOf } from "~/core/ground/result";
import { DEMO_KITCHEN } from "~/demo/kitchen";
import { demo, words } from "../bench/panels/testing";
import { OilPace } from "./oil-pace";

const { states } = walk(demo("walnut-oil-mayonnaise"), openKitchen(DEMO_KITCHEN));
const index = states.findIndex(s => s.step.kind === "emulsify" && s.lines.some(l => /oil/.test(l.name)));
const [before, beating] = [states[index - 1], states[index]];
if (!before || !beating) throw new Error("The mayonnaise takes no oil.");
const oilG = beating.lines.reduce((sum, l) => sum + l.massG, 0);
const plan = valueOf(oilSchedule(liquorMass(before.pot), oilG, "whisk", NOMINAL_FACTS));

const pace = (sinceS: number | null) => {
  render(<OilPace from={before.pot} foreseen={beating} tool="whisk" facts={NOMINAL_FACTS} sinceS={sinceS} />);
  const oil = screen.queryByRole("region", { name: "The oil" });
  const bar = oil?.querySelector<HTMLElement>("span span");
  return { text: words(oil), share: parseFloat(bar?.style.width ?? "NaN") };
};

describe("the oil, dose by dose", () => {
  test("before it is begun the first dose stands ready, and the bar is empty", () => {
    const { text, share } = pace(null);
    expect(text).toMatch(/^Dose 1 of \d+: \d+ g/);
    expect(text).toContain("min by whisk");
    expect(share).toBe(0);
  });
  test("every dose comes in its turn, and the last one ends with all the oil", () => {
    let last = 0;
    for (let i = 0; i <= 20; i++) {
      const { text, share } = pace((plan.seconds * i) / 20 - (i === 20 ? 0.01 : 0));
      const dose = Number(/Dose (\d+) of/.exec(text)?.[1]);
      expect(dose).toBeGreaterThanOrEqual(last);
      expect(share).toBeGreaterThanOrEqual(0);
      expect(share).toBeLessThanOrEqual(100);
      last = dose;
      cleanup();
    }
    expect(last).toBe(plan.doses.length);
  });
  test("a dose takes as long as the emulsion formed so far needs for it", () => {
    // dm/dt = k (m_c + m): the second dose begins after ln((m_c + first)/m_c)/k.
    const phase = liquorMass(before.pot);
    const k = plan.startGPerS / phase;
    const second = Math.log((phase + (plan.doses[0]?.doseG ?? 0)) / phase) / k;
    expect(pace(second - 0.1).text).toMatch(/^Dose 1 of/);
    cleanup();
    expect(pace(second + 0.1).text).toMatch(/^Dose 2 of/);
  });
  test("when its time is over all the oil is in", () => {
    const { text, share } = pace(plan.seconds + 1);
    expect(text).toMatch(/^All the oil is in/);
    expect(share).toBe(100);
  });
  test("a step without oil has no pace", () => {
    const dry = { ...beating, lines: [] };
    const { container } = render(
      <OilPace from={before.pot} foreseen={dry} tool="whisk" facts={NOMINAL_FACTS} sinceS={3} />,
    );
    expect(container.textContent).toBe("");
  });
});

import { cleanup, render, screen } from "@testing-library/react";
import { MemoryRouter } from "react-router";
import { describe, expect, test } from "vitest";
import { GLACE_ID } from "~/demo/formulas";
import { DEMO_KITCHEN } from "~/demo/kitchen";
import { Hob } from "./hob";
import { potNow } from "./testing";
import { START, batchOf, logged, minute } from "./testing";

describe("a pot on the hob", () => {
  const live = batchOf(
    GLACE_ID,
    [
      logged(1, { kind: "step-begun", stepId: "g1" }),
      logged(5, { kind: "step-done", stepId: "g1" }),
      logged(5, { kind: "step-begun", stepId: "g2" }),
    ],
    "open-2",
  );
  test("falls from its start towards its mark, within limits", () => {
    const [early, late] = [potNow(live, DEMO_KITCHEN, minute(40)), potNow(live, DEMO_KITCHEN, minute(80))];
    expect(early.place).toBe("fire");
    expect(early.startMm).toBeGreaterThan(early.nowMm ?? 0);
    expect(late.nowMm).toBeLessThan(early.nowMm ?? 0);
    expect(late.nowMm).toBeGreaterThan(late.markMm ?? 0);
    expect(late.nowLoMm).toBeLessThan(late.nowMm ?? 0);
    expect(late.nowHiMm).toBeGreaterThan(late.nowMm ?? 0);
    expect(late.grossMarkG).toBeGreaterThan(late.vessel?.tareG ?? 0);
  });
  test("its liquid draws in; end and minutes left stand in words", () => {
    const disc = (at: number) => {
      render(
        <MemoryRouter>
          <Hob
            burners={DEMO_KITCHEN.burners}
            pots={[potNow(live, DEMO_KITCHEN, minute(at))]}
            now={minute(at)}
            timeZone="Europe/Zurich"
          />
        </MemoryRouter>,
      );
      const link = screen.getByRole("link", {
        name: /Guinea-fowl glace, reduce to a third: .* at \d\d:\d\d/,
      });
      const radii = [...link.querySelectorAll("circle")].map(c => Number(c.getAttribute("r")));
      cleanup();
      // wall, inside, start line, liquid, mark
      return { liquid: radii[3] ?? 0, start: radii[2] ?? 0, mark: radii[4] ?? 0 };
    };
    const [early, late] = [disc(30), disc(90)];
    expect(early.liquid).toBeLessThanOrEqual(early.start);
    expect(late.liquid).toBeLessThan(early.liquid);
    expect(late.liquid).toBeGreaterThanOrEqual(late.mark);
    expect(late.mark).toBe(early.mark);
  });
  test("every open burner of the kitchen is drawn, numbered", () => {
    render(
      <MemoryRouter>
        <Hob burners={DEMO_KITCHEN.burners} pots={[]} now={START} timeZone="Europe/Zurich" />
      </MemoryRouter>,
    );
    for (const n of ["1", "2", "3", "4", "5", "6", "7", "8"]) expect(screen.getByText(n)).toBeTruthy();
    expect(screen.getByText("flat-top, hot end")).toBeTruthy();
  });
});

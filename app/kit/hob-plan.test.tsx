import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import { describe, expect, it, vi } from "vitest";
import type { Burner } from "~/core/laws/reduction";
import { HobPlan } from "./hob-plan";
import type { BurnerMoves } from "./use-burner-moves";

const burner = (id: string, xMm: number): Burner => ({
  id,
  name: `Burner ${id}`,
  kind: "gas-pro",
  xMm,
  yMm: 100,
  widthMm: 300,
  depthMm: 300,
});

function plan(given: Partial<BurnerMoves> = {}) {
  const move = vi.fn<BurnerMoves["move"]>();
  const hob = (now: Partial<BurnerMoves>) => (
    <HobPlan
      burners={[burner("1", 0), burner("2", 400)]}
      move={move}
      state="unmoved"
      refused={null}
      {...given}
      {...now}
    />
  );
  const view = render(hob({}));
  return { move, now: (state: Partial<BurnerMoves>) => view.rerender(hob(state)) };
}
const second = () => screen.getByRole("button", { name: /^Burner 2,/ });
/** What the hob says; the library's own place for such words stays empty. */
const said = () =>
  screen
    .getAllByRole("status")
    .map(status => status.textContent)
    .join("");

describe("the hob, to be arranged", () => {
  it("says of every burner where it stands, and of itself how it is arranged", () => {
    plan();
    expect(second().getAttribute("aria-label")).toBe("Burner 2, 40 cm from the left, 10 cm from the front");
    expect(said()).toContain("use the arrows");
  });

  it("moves a burner by a step with an arrow, by ten with Shift, and says when that is kept", () => {
    const { move, now } = plan();
    fireEvent.keyDown(second(), { key: "ArrowRight" });
    expect(move).toHaveBeenLastCalledWith("2", { xMm: 410, yMm: 100 });
    fireEvent.keyDown(second(), { key: "ArrowUp", shiftKey: true });
    expect(move).toHaveBeenLastCalledWith("2", { xMm: 400, yMm: 200 });
    now({ state: "keeping" });
    expect(said()).toBe("Burner 2 stands 40 cm from the left, 20 cm from the front. Keeping it …");
    now({ state: "kept" });
    expect(said()).toContain("✓ kept");
    fireEvent.keyDown(second(), { key: "a" });
    expect(move).toHaveBeenCalledTimes(2);
  });

  it("leaves a burner where it is when it would stand on another, and says on which", () => {
    const { move } = plan();
    fireEvent.keyDown(second(), { key: "ArrowLeft", shiftKey: true });
    fireEvent.keyDown(second(), { key: "ArrowLeft", shiftKey: true });
    expect(move).toHaveBeenCalledTimes(2);
    expect(said()).not.toContain("✕");
    cleanup();
    const { move: refused } = plan({ burners: [burner("1", 0), burner("2", 300)] });
    fireEvent.keyDown(second(), { key: "ArrowLeft", shiftKey: true });
    expect(refused).not.toHaveBeenCalled();
    expect(said()).toMatch(/✕ .*would stand on Burner 1/);
  });

  it("tells what the kitchen refused", () => {
    plan({ refused: "The kitchen has no such burner." });
    expect(said()).toBe("✕ The kitchen has no such burner.");
  });
});

import { fireEvent, render, screen, within } from "@testing-library/react";
import { describe, expect, test, vi } from "vitest";
import { NOMINAL_FACTS } from "~/core/ground/facts";
import { openKitchen } from "~/core/formula";
import { potMass } from "~/core/things/pot";
import { stepToRead } from "~/core/run";
import type { Person } from "~/data";
import { STOCK_ID } from "~/demo/formulas";
import { DEMO_KITCHEN } from "~/demo/kitchen";
import { words } from "../bench/panels/testing";
import { batchOf, logged, minute, stepsBefore, potNow } from "../range/testing";
import { StepSide } from "./step-side";
import { during, idOf, indexOf, stock } from "./testing";

const NOOR = { id: "noor", name: "Noor Adeyi" } as Person;
const ZONE = "Europe/Zurich";

describe("beside the pot", () => {
  const side = (pot: ReturnType<typeof during>, ticks: readonly string[] = []) => {
    const onAdd = vi.fn();
    const onTick = vi.fn();
    render(
      <StepSide
        pot={pot}
        people={[NOOR]}
        timeZone={ZONE}
        onAdd={onAdd}
        now={minute(120)}
        ticks={ticks}
        onTick={onTick}
        onLeaveOut={vi.fn<() => void>()}
        onOverride={vi.fn<() => void>()}
        onGiveUp={vi.fn<() => void>()}
      />,
    );
    return { onAdd, onTick, aside: screen.getByRole("complementary", { name: "This step" }) };
  };

  test("what goes in stands with its grams, and is weighed in with one press", () => {
    const { onAdd } = side(during("steep"));
    const lines = stock.steps[indexOf("steep")]?.lines ?? [];
    expect(lines.length).toBeGreaterThan(0);
    for (const line of lines) {
      if (!("larder" in line.of)) continue;
      const name = openKitchen(DEMO_KITCHEN).ingredientById.get(line.of.larder)?.name ?? "";
      const button = screen.getByRole("button", { name: new RegExp(`^${name}`) });
      expect(words(button)).toMatch(/[\d.]+ g( \?)?$/);
      fireEvent.click(button);
      expect(onAdd).toHaveBeenLastCalledWith(line.id);
    }
  });
  test("what is assumed is marked, what was weighed in is ticked with its own grams", () => {
    const [first] = stock.steps[indexOf("steep")]?.lines ?? [];
    if (!first) throw new Error("Nothing is steeped.");
    side(during("steep", logged(61, { kind: "added", stepId: idOf("steep"), lineId: first.id, massG: 41 })));
    expect(screen.getByText("✓ 41 g")).toBeTruthy();
    expect(screen.getAllByText(/\?$/).length).toBeGreaterThan(0);
  });
  test("water that the sums put in is told with its limits", () => {
    const { aside } = side(during("cover"));
    expect(words(aside)).toMatch(/water, about[\d ]+ g± [\d.]+ kg/);
  });
  test("how to see the end, and what to take care of", () => {
    const { aside } = side(during("simmer"));
    expect(words(aside)).toMatch(/It is there when .{8,}\./);
  });
  test("every reading of the step, the last one first, by whom and when, against the forecast", () => {
    const { aside } = side(
      during(
        "simmer",
        logged(70, { kind: "probed", stepId: idOf("simmer"), temperatureC: 88, where: "pot" }),
        logged(80, { kind: "dipped", stepId: idOf("simmer"), levelMm: 185 }),
        logged(90, { kind: "noted", stepId: idOf("simmer"), text: "skimmed" }),
        logged(100, { kind: "weighed", stepId: idOf("simmer"), netG: 14_600 }),
      ),
    );
    const readings = within(screen.getByText("Readings of this step").parentElement ?? aside)
      .getAllByRole("listitem")
      .map(words);
    expect(readings).toHaveLength(4);
    expect(readings[0]).toMatch(/10:40 Noor ?weighed 14 600 g.*foreseen [\d ]+ g/);
    expect(readings[1]).toMatch(/“skimmed”/);
    expect(readings[2]).toMatch(/dipped 185 mm/);
    expect(readings[3]).toMatch(/probe 88 °C|probe 88.0 °C/);
  });
  test("what must not be forgotten is pressed away, once", () => {
    const { onTick } = side(during("simmer"), ["bones counted out"]);
    fireEvent.click(screen.getByRole("button", { name: "bones counted out" }));
    expect(onTick).toHaveBeenCalledWith("bones counted out");
  });
  test("with every step done there is nothing beside it", () => {
    const pot = potNow(batchOf(STOCK_ID, stepsBefore(stock, stock.steps.length)), DEMO_KITCHEN, minute(300));
    const { aside } = side(pot);
    expect(aside.textContent).toBe("");
  });
  test("what is weighed when every step is done is read into the last one, and stands beside it", () => {
    const lastId = stock.steps.at(-1)?.id ?? "";
    const done = stepsBefore(stock, stock.steps.length);
    const before = potNow(batchOf(STOCK_ID, done), DEMO_KITCHEN, minute(300));
    expect(stepToRead(before.state)?.step.id).toBe(lastId);
    const after = potNow(
      batchOf(STOCK_ID, [...done, logged(250, { kind: "weighed", stepId: lastId, netG: 9000 })]),
      DEMO_KITCHEN,
      minute(300),
    );
    expect(potMass(after.state.pot)).toBeCloseTo(9000, 3);
    const { aside } = side(after);
    expect(words(aside)).toMatch(/^Readings of the last step.*weighed 9 000 g$/);
  });
  test("a reading that cannot be is told beside the next step, and moves nothing", () => {
    const at = indexOf("simmer");
    const upTo = stepsBefore(stock, at + 1);
    const plain = potNow(batchOf(STOCK_ID, upTo), DEMO_KITCHEN, minute(300));
    const wrong = potNow(
      batchOf(STOCK_ID, [
        ...upTo,
        logged(8 + at * 10, { kind: "weighed", stepId: idOf("simmer"), netG: 200 }),
      ]),
      DEMO_KITCHEN,
      minute(300),
    );
    expect(potMass(wrong.state.pot)).toBeCloseTo(potMass(plain.state.pot), 3);
    side(wrong);
    expect(words(screen.getByRole("alert"))).toMatch(
      /The step before: 200 g was read, and that cannot be: about .* were foreseen .*Read again/,
    );
  });
});

test("the facts a pot is reckoned with are those of the kitchen", () => {
  expect(during("simmer").facts).toEqual(NOMINAL_FACTS);
});

describe("what is locked", () => {
  test("the line of a lock is closed; it is left out with one press, or opened with a reason", () => {
    const lineId = stock.steps[indexOf("steep")]?.lines[0]?.id ?? "";
    const onLeaveOut = vi.fn();
    const onOverride = vi.fn();
    render(
      <StepSide
        pot={during("steep")}
        people={[NOOR]}
        timeZone={ZONE}
        onAdd={vi.fn()}
        now={minute(120)}
        ticks={[]}
        onTick={vi.fn()}
        locks={[{ what: "No fine salt yet", why: "capers still to come", before: "end", lineId }]}
        onLeaveOut={onLeaveOut}
        onOverride={onOverride}
        onGiveUp={vi.fn<() => void>()}
      />,
    );
    expect(screen.getAllByRole("button").filter(b => b.hasAttribute("disabled"))).toHaveLength(1);
    fireEvent.click(screen.getByRole("button", { name: "Leave it out for now" }));
    expect(onLeaveOut).toHaveBeenCalledWith(lineId);
    fireEvent.click(screen.getByRole("button", { name: "All the same …" }));
    const open = screen.getByRole("button", { name: "Open it" });
    expect(open.hasAttribute("disabled")).toBe(true);
    fireEvent.change(screen.getByLabelText(/^Why all the same/), { target: { value: "no capers today" } });
    fireEvent.click(open);
    expect(onOverride).toHaveBeenCalledWith("No fine salt yet", "no capers today");
  });
});

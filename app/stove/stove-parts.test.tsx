import { cleanup, fireEvent, render, screen, within } from "@testing-library/react";
import { MemoryRouter } from "react-router";
import { afterEach, describe, expect, test, vi } from "vitest";
import { NOMINAL_FACTS } from "~/core/facts";
import type { Person } from "~/data";
import { potMass } from "~/core/pot";
import { type RunEvent, type RunPayload, fold, stepToRead } from "~/core/run";
import { openKitchen } from "~/core/formula";
import { GLACE_ID, STOCK_ID } from "~/demo/formulas";
import { DEMO_KITCHEN } from "~/demo/kitchen";
import { words } from "../bench/panels/testing";
import { potNow } from "../range/pot-now";
import { batchOf, logged, minute, stepsBefore } from "../range/testing";
import { BatchSummary } from "./batch-summary";
import { type LogKind, LogPanel } from "./log-panel";
import { StepSide } from "./step-side";

afterEach(cleanup);

const stock = batchOf(STOCK_ID).document;
const indexOf = (kind: string) => stock.steps.findIndex(step => step.kind === kind);
const idOf = (kind: string) => stock.steps[indexOf(kind)]?.id ?? "";
const NOOR = { id: "noor", name: "Noor Adeyi" } as Person;
const ZONE = "Europe/Zurich";

/** The demo stock, some way into the step of this kind, with what was logged in it. */
const during = (kind: string, ...after: RunEvent[]) =>
  potNow(
    batchOf(STOCK_ID, [
      ...stepsBefore(stock, indexOf(kind)),
      logged(60, { kind: "step-begun", stepId: idOf(kind) }),
      ...after,
    ]),
    DEMO_KITCHEN,
    minute(120),
  );

function panel(kind: LogKind, of = "simmer") {
  const onLog = vi.fn<(payload: RunPayload) => void>();
  const onClose = vi.fn();
  const pot = during(of);
  render(<LogPanel kind={kind} pot={pot} stepId={idOf(of)} onLog={onLog} onClose={onClose} />);
  const form = screen.getByRole("form");
  const field = within(form).getAllByRole<HTMLInputElement>("textbox")[0];
  if (!field) throw new Error("There is no field.");
  return {
    pot,
    onClose,
    field,
    form,
    type: (text: string) => fireEvent.change(field, { target: { value: text } }),
    readBack: () => words(screen.queryByRole("alert") ?? within(form).getByRole("status")),
    log: (): RunPayload | undefined => {
      fireEvent.submit(form);
      return onLog.mock.calls.at(-1)?.[0];
    },
    button: () => screen.getByRole<HTMLButtonElement>("button", { name: "Log it" }),
  };
}

describe("one reading at the Stove", () => {
  test("a pot is weighed with its tare: what the scale showed is kept beside what is in it", () => {
    const { pot, type, readBack, log } = panel("weigh");
    const tareG = pot.vessel?.tareG ?? NaN;
    type("15 kg");
    expect(readBack()).toMatch(/^= [\d ]+ g in the pot$/);
    expect(log()).toEqual({
      kind: "weighed",
      stepId: idOf("simmer"),
      netG: 15_000 - tareG,
      grossG: 15_000,
      tareG,
    });
  });
  test("without the pot the grams are those of the sauce", () => {
    const { type, log } = panel("weigh");
    fireEvent.click(screen.getByRole("checkbox"));
    type("9.5 kg");
    expect(log()).toEqual({ kind: "weighed", stepId: idOf("simmer"), netG: 9500 });
  });
  test("lighter than its pot is refused with the tare, and cannot be logged", () => {
    const { type, readBack, log, button } = panel("weigh");
    type("2 kg");
    expect(readBack()).toMatch(/^✕ /);
    expect(button().disabled).toBe(true);
    expect(log()).toBeUndefined();
  });
  test("pounds are read as pounds", () => {
    const { type, log } = panel("weigh");
    fireEvent.click(screen.getByRole("checkbox"));
    type("20 lb");
    // An international pound is 453.59237 g by definition.
    expect(log()).toMatchObject({ netG: expect.closeTo(20 * 453.59237, 3) as number });
  });
  test("the stick is read back as litres up to that mark", () => {
    const { type, readBack, log } = panel("dip");
    type("150");
    expect(readBack()).toMatch(/^= [\d.]+ l up to that mark$/);
    expect(log()).toEqual({ kind: "dipped", stepId: idOf("simmer"), levelMm: 150 });
  });
  test("a stick above the rim is refused", () => {
    const { type, readBack, log } = panel("dip");
    type("1900 mm");
    expect(readBack()).toMatch(/^✕ /);
    expect(log()).toBeUndefined();
  });
  test("the probe is in the pot, or in the oven where the cook says so", () => {
    const { type, readBack, log } = panel("probe");
    type("88.5");
    expect(readBack()).toBe("= 88.5 °C in the pot");
    expect(log()).toMatchObject({ kind: "probed", temperatureC: 88.5, where: "pot" });
    fireEvent.click(screen.getByRole("checkbox"));
    type("392 F");
    expect(readBack()).toBe("= 200.0 °C in the oven");
    expect(log()).toMatchObject({ temperatureC: 200, where: "oven" });
  });
  test("in a roasting step the probe is in the oven from the start", () => {
    const { type, log } = panel("probe", "roast");
    type("205");
    expect(log()).toMatchObject({ where: "oven" });
  });
  test.each(["-60", "500", "hot"])("a probe of “%s” is refused", text => {
    const { type, readBack, log } = panel("probe");
    type(text);
    expect(readBack()).toMatch(/^✕ .{10,}/);
    expect(log()).toBeUndefined();
  });
  test("a jug reads millilitres unless it says litres; a mass is no jug", () => {
    const { type, readBack, log } = panel("jug");
    type("900");
    expect(log()).toMatchObject({ kind: "jugged", volumeMl: 900 });
    type("9.6 l");
    expect(readBack()).toBe("= 9.60 l");
    expect(log()).toMatchObject({ volumeMl: 9600 });
    type("3 kg");
    expect(readBack()).toContain("A jug reads in litres or millilitres");
  });
  test("a note is kept as it was typed, without the spaces around it", () => {
    const { type, log, field } = panel("note");
    expect(field.inputMode).toBe("text");
    expect(log()).toBeUndefined();
    type("  first scum off  ");
    expect(log()).toEqual({ kind: "noted", stepId: idOf("simmer"), text: "first scum off" });
  });
  test("a line weighed in, straight or by the bottle before and after", () => {
    const step = stock.steps[indexOf("deglaze")];
    const lineId = step?.lines[0]?.id ?? "";
    const { type, readBack, log } = panel(`add:${lineId}`, "deglaze");
    expect(screen.getByText(/^planned /)).toBeTruthy();
    type("610");
    expect(log()).toEqual({ kind: "added", stepId: idOf("deglaze"), lineId, massG: 610 });
    fireEvent.click(screen.getByRole("checkbox"));
    type("1400");
    fireEvent.change(screen.getByLabelText("The bottle after pouring"), { target: { value: "790" } });
    expect(readBack()).toBe("= 610 g out of the bottle");
    expect(log()).toMatchObject({ massG: 610, fromG: 1400, toG: 790 });
    fireEvent.change(screen.getByLabelText("The bottle after pouring"), { target: { value: "1500" } });
    expect(readBack()).toMatch(/^✕ /);
  });
  test("wet fingers type on the pad", () => {
    const { field, form } = panel("dip");
    const key = (text: string) => {
      const found = [...form.querySelectorAll("button")].find(b => b.textContent === text);
      if (!found) throw new Error(`No ${text} on the pad.`);
      fireEvent.click(found);
    };
    for (const k of ["1", "4", "2", "⌫", ".", "5"]) key(k);
    expect(field.value).toBe("14.5");
  });
  test("Escape closes it and logs nothing", () => {
    const { field, type, onClose, log } = panel("dip");
    type("150");
    fireEvent.keyDown(field, { key: "Escape" });
    expect(onClose).toHaveBeenCalledOnce();
    expect(log()).toMatchObject({ levelMm: 150 });
  });
});

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

describe("a batch that is done", () => {
  const summary = (after: readonly RunEvent[], formulaId = GLACE_ID, waiting = 0) => {
    const live = batchOf(formulaId, after);
    const state = fold(live.events, live.document, openKitchen(DEMO_KITCHEN, {}, live.run.burnerId));
    const onReopen = vi.fn();
    render(
      <MemoryRouter>
        <BatchSummary
          state={state}
          live={live}
          people={[NOOR]}
          timeZone={ZONE}
          demo
          onReopen={onReopen}
          waiting={waiting}
        />
      </MemoryRouter>,
    );
    return { onReopen, live };
  };
  const glace = batchOf(GLACE_ID).document;
  const all = stepsBefore(glace, glace.steps.length);

  test("planned and actual stand side by side; what nobody weighed or read says so", () => {
    summary([...all, logged(200, { kind: "finished" })]);
    const rows = within(screen.getByRole("table")).getAllByRole("row").slice(1);
    expect(rows.length).toBeGreaterThan(0);
    for (const tr of rows) expect(words(tr.children[2] ?? null)).toMatch(/\d/);
    expect(screen.getByText("not weighed")).toBeTruthy();
    expect(screen.getByText("no jug read")).toBeTruthy();
  });
  test("a reading is set against its plan, with how far it is off", () => {
    const last = glace.steps.at(-1)?.id ?? "";
    const before = stepsBefore(glace, glace.steps.length - 1);
    summary([
      ...before,
      logged(150, { kind: "step-begun", stepId: last }),
      logged(170, { kind: "weighed", stepId: last, netG: 2000 }),
      logged(171, { kind: "step-done", stepId: last }),
      logged(172, { kind: "finished" }),
    ]);
    expect(words(screen.getByRole("table"))).toMatch(/2 ?000 g[+−]?[\d.]+ ?%|2 ?000 g.*%/);
  });
  test("who finished it when, what still waits for the network, and the way to its card", () => {
    const { live } = summary([...all, logged(200, { kind: "finished" })], GLACE_ID, 2);
    expect(screen.getByText(/finished .* at 12:20/)).toBeTruthy();
    expect(screen.getByText(/2 readings wait for the network/)).toBeTruthy();
    expect(screen.getByRole("link", { name: "The card of this batch" }).getAttribute("href")).toBe(
      `/book/version?base=${live.document.base.massG}`,
    );
  });
  test("“finished” can be undone", () => {
    const { onReopen } = summary([...all, logged(200, { kind: "finished" })]);
    fireEvent.click(screen.getByRole("button", { name: /Undo “finished”/ }));
    expect(onReopen).toHaveBeenCalledOnce();
  });
  test("a skipped step says so, and a note stands with who wrote it", () => {
    const [first, second] = glace.steps;
    summary([
      logged(1, { kind: "skipped", stepId: first?.id ?? "" }),
      logged(2, { kind: "step-begun", stepId: second?.id ?? "" }),
      logged(3, { kind: "noted", stepId: second?.id ?? "", text: "pale" }),
      logged(9, { kind: "step-done", stepId: second?.id ?? "" }),
      logged(10, { kind: "finished" }),
    ]);
    expect(screen.getByText("(skipped)")).toBeTruthy();
    expect(screen.getByText(/“pale” Noor/)).toBeTruthy();
  });
});

test("the facts a pot is reckoned with are those of the kitchen", () => {
  expect(during("simmer").facts).toEqual(NOMINAL_FACTS);
});

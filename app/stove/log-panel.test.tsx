import { fireEvent, render, screen, within } from "@testing-library/react";
import { describe, expect, test, vi } from "vitest";
import type { RunPayload } from "~/core/run";
import { words } from "../bench/panels/testing";
import { type LogKind, LogPanel } from "./log-panel";
import { during, idOf, indexOf, stock } from "./testing";

function panel(kind: LogKind, of = "simmer", probes: Parameters<typeof LogPanel>[0]["probes"] = []) {
  const onLog = vi.fn<(payload: RunPayload) => void>();
  const onClose = vi.fn();
  const pot = during(of);
  render(
    <LogPanel kind={kind} pot={pot} stepId={idOf(of)} probes={probes} onLog={onLog} onClose={onClose} />,
  );
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
  test("C135 what a probe shows is put right by its ice check; both are kept", () => {
    const probe = { id: "red", name: "Red cap", kind: "probe", resolutionC: 0.1 } as const;
    const { type, readBack, log } = panel("probe", "simmer", [
      { ...probe, id: "old", name: "Old one", offsetC: 1, checkedOn: null },
      { ...probe, offsetC: -0.4, checkedOn: "2026-11-16" },
    ]);
    type("75");
    expect(readBack()).toBe("= 74.6 °C in the pot (75.0 shown, −0.4 for Red cap)");
    expect(log()).toMatchObject({ temperatureC: 74.6, shownC: 75, probeId: "red" });
    fireEvent.change(screen.getByRole("combobox"), { target: { value: "" } });
    expect(log()).toEqual({ kind: "probed", stepId: idOf("simmer"), temperatureC: 75, where: "pot" });
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

import { render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import type { FormEvent } from "react";
import { describe, expect, test, vi } from "vitest";
import { ok, refuse } from "~/core/ground/result";
import { readMass, readMinutes, readTemperature, readWithin } from "./read";
import { InOneForm, TypedField } from "./typed-field";

describe("a typed field", () => {
  const field = () => {
    const onRead = vi.fn();
    render(<TypedField label="The base" shown="6.00 kg" read={readMass("The base", "kg")} onRead={onRead} />);
    return { onRead, input: screen.getByLabelText<HTMLInputElement>("The base") };
  };

  test("tells every text that can be read", async () => {
    const { onRead, input } = field();
    await userEvent.clear(input);
    await userEvent.type(input, "8.6");
    expect(onRead).toHaveBeenLastCalledWith(8600);
  });
  test("keeps what was typed beside its refusal, and the last good value in force", async () => {
    const { onRead, input } = field();
    await userEvent.clear(input);
    await userEvent.type(input, "8.6 stone");
    expect(screen.getByRole("alert").textContent).toContain("is not a unit");
    await userEvent.tab();
    expect(input.value).toBe("8.6 stone");
    expect(input.getAttribute("aria-invalid")).toBe("true");
    expect(onRead).toHaveBeenLastCalledWith(8600);
  });
  test("is described by what stands elsewhere, until there is a refusal to read", async () => {
    render(
      <>
        <TypedField label="Oil" shown="1 kg" read={readMass("Oil")} onRead={vi.fn()} describedBy="beside" />
        <p id="beside">a third of the sauce</p>
      </>,
    );
    const oil = screen.getByLabelText("Oil");
    const described = () => document.getElementById(oil.getAttribute("aria-describedby") ?? "")?.textContent;
    expect(described()).toBe("a third of the sauce");
    await userEvent.clear(oil);
    await userEvent.type(oil, "plenty");
    expect(described()).toContain("✕");
  });
  test("what is typed stays with the field, and always meets the reading of the moment", async () => {
    const around = vi.fn();
    const first = vi.fn();
    const second = vi.fn();
    const drawn = (onRead: (value: number) => void) => (
      <div onInput={around}>
        <TypedField label="The base" shown="6.00 kg" read={readMass("The base", "kg")} onRead={onRead} />
      </div>
    );
    const view = render(drawn(first));
    const input = screen.getByLabelText("The base");
    await userEvent.clear(input);
    await userEvent.type(input, "8");
    view.rerender(drawn(second));
    await userEvent.type(input, ".6");
    expect(first).toHaveBeenLastCalledWith(8000);
    expect(second).toHaveBeenLastCalledWith(8600);
    expect(around).not.toHaveBeenCalled();
  });
  test("is a form of its own, which Enter hands nowhere", async () => {
    const sent = vi.fn();
    addEventListener("submit", sent);
    const { onRead, input } = field();
    await userEvent.clear(input);
    await userEvent.type(input, "8.6{Enter}");
    expect([...(input.form?.elements ?? [])]).toEqual([input]);
    expect(onRead).toHaveBeenLastCalledWith(8600);
    expect(input.value).toBe("8.6");
    expect(sent.mock.calls.every(([event]: Event[]) => event?.defaultPrevented)).toBe(true);
    removeEventListener("submit", sent);
  });
  test("stands in the form around it where fields are handed in together", async () => {
    const answered = vi.fn((event: FormEvent) => event.preventDefault());
    render(
      <form onSubmit={answered}>
        <InOneForm value={true}>
          <TypedField label="Salt" shown="" read={readWithin("Salt", "%", 0, 5)} onRead={vi.fn()} />
        </InOneForm>
        <button type="submit">So it is</button>
      </form>,
    );
    await userEvent.type(screen.getByLabelText("Salt"), "0.8{Enter}");
    expect(answered).toHaveBeenCalledOnce();
  });
  test("what was refused is read again when the field is left", async () => {
    let known = false;
    const onRead = vi.fn();
    const read = (text: string) =>
      known ? ok(text) : refuse({ field: "line", code: "UNKNOWN_ID", message: "There are no bones yet." });
    render(<TypedField label="Water" shown="" read={read} onRead={onRead} />);
    const water = screen.getByLabelText<HTMLInputElement>("Water");
    await userEvent.type(water, "twice the bones");
    await userEvent.tab();
    expect(screen.getByRole("alert").textContent).toContain("no bones yet");
    known = true;
    await userEvent.click(water);
    await userEvent.tab();
    expect(screen.queryByRole("alert")).toBeNull();
    expect(onRead).toHaveBeenLastCalledWith("twice the bones");
  });
  test("a new value does not push away what is being typed, and is there when the field is left", async () => {
    const view = (shown: string) => (
      <TypedField label="Salt" shown={shown} read={readMass("Salt")} onRead={vi.fn()} />
    );
    const { rerender } = render(view("10 g"));
    const salt = screen.getByLabelText<HTMLInputElement>("Salt");
    await userEvent.clear(salt);
    await userEvent.type(salt, "12");
    rerender(view("12 g"));
    expect(salt.value).toBe("12");
    await userEvent.tab();
    expect(salt.value).toBe("12 g");
    rerender(view("14 g"));
    expect(salt.value).toBe("14 g");
  });
  test("shows the value again once it is left in order", async () => {
    const { input } = field();
    await userEvent.clear(input);
    await userEvent.type(input, "8 kg");
    await userEvent.tab();
    expect(input.value).toBe("6.00 kg");
  });
});

describe("readers", () => {
  const value = <T,>(result: { ok: true; value: T } | { ok: false }) => (result.ok ? result.value : null);
  test("minutes as cooks write them", () => {
    expect(value(readMinutes("Time")("45"))).toBe(45);
    expect(value(readMinutes("Time")("4 h 30"))).toBe(270);
    expect(value(readMinutes("Time")("4:30"))).toBe(270);
    expect(readMinutes("Time")("soon").ok).toBe(false);
    expect(readMinutes("Time", 60)("2 h").ok).toBe(false);
  });
  test("temperatures in either scale, within limits", () => {
    expect(value(readTemperature("Oven", 60, 300)("375 F"))).toBeCloseTo(190.6, 1);
    expect(readTemperature("Oven", 60, 300)("900").ok).toBe(false);
  });
  test("plain numbers with or without their unit", () => {
    expect(value(readWithin("Depth", "mm", 0, 300)("25"))).toBe(25);
    expect(value(readWithin("Depth", "mm", 0, 300)("25 mm"))).toBe(25);
    expect(readWithin("Depth", "mm", 0, 300)("25 cm").ok).toBe(false);
  });
});

import { cleanup, render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { afterEach, describe, expect, test, vi } from "vitest";
import { readMass, readMinutes, readTemperature, readWithin } from "./read";
import { TypedField } from "./typed-field";

afterEach(cleanup);

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

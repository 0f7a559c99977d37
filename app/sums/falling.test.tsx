import { cleanup, render, screen } from "@testing-library/react";
import { expect, test } from "vitest";
import { Falling } from "./falling";

const at = (element: Element | null | undefined, name: string): number =>
  Number(element?.getAttribute(name) ?? NaN);
const drawn = (points: readonly (readonly [number, number])[], gates: readonly number[], marked = false) => {
  render(<Falling points={points.map(([x, y]) => ({ x, y }))} gates={gates} unit="°C" marked={marked} />);
  const picture = screen.getByRole("img");
  const line = (picture.querySelector("polyline")?.getAttribute("points") ?? "")
    .split(" ")
    .map(p => p.split(",").map(Number) as [number, number]);
  return { picture, line, dots: [...picture.querySelectorAll("circle")] };
};

test("the curve falls to the right, and its ends stand at the ends of the picture", () => {
  const { picture, line } = drawn(
    [
      [0, 90],
      [60, 40],
      [120, 10],
    ],
    [],
  );
  expect(picture.getAttribute("aria-label")).toBe("From 90 to 10 °C in 120 min");
  for (const [i, [x, y]] of line.entries()) {
    const before = line[i - 1];
    if (!before) continue;
    expect(x).toBeGreaterThan(before[0]);
    expect(y).toBeGreaterThan(before[1]);
  }
  const [, , width = 0, height = 0] = (picture.getAttribute("viewBox") ?? "").split(" ").map(Number);
  for (const [x, y] of line) {
    expect(x).toBeGreaterThanOrEqual(0);
    expect(x).toBeLessThanOrEqual(width);
    expect(y).toBeGreaterThanOrEqual(0);
    expect(y).toBeLessThanOrEqual(height);
  }
});

test("a gate is crossed where the straight line between two readings crosses it", () => {
  // From 80 to 40 °C in 100 min: 57 °C after 57.5 min.
  const { dots, line, picture } = drawn(
    [
      [0, 80],
      [100, 40],
    ],
    [57],
  );
  expect(dots).toHaveLength(1);
  const [[x0, y0], [x1, y1]] = line as [[number, number], [number, number]];
  expect((at(dots[0], "cx") - x0) / (x1 - x0)).toBeCloseTo(0.575, 6);
  expect((at(dots[0], "cy") - y0) / (y1 - y0)).toBeCloseTo(0.575, 6);
  expect(picture.textContent).toMatch(/58\smin/);
});

test("a gate it starts below is not drawn; one it has not reached has no time", () => {
  const { dots, picture } = drawn(
    [
      [0, 50],
      [30, 30],
    ],
    [57, 21],
  );
  expect(dots).toHaveLength(0);
  expect(picture.textContent).not.toContain("57");
  expect(picture.textContent).toContain("21");
});

test("readings are marked where they were taken; one alone, or none in time, is still a picture", () => {
  expect(
    drawn(
      [
        [0, 60],
        [10, 50],
      ],
      [],
      true,
    ).dots,
  ).toHaveLength(2);
  cleanup();
  const alone = drawn([[0, 5]], [57, 21, 5], true);
  expect(alone.picture.innerHTML).not.toContain("NaN");
});

test("below the freezing point the ground line is as low as the curve goes", () => {
  const { line, picture } = drawn(
    [
      [0, 10],
      [60, -18],
    ],
    [5],
  );
  const ground = [...picture.querySelectorAll("path")].at(-1)?.getAttribute("d") ?? "";
  expect(Number(/M[\d.]+,([\d.]+)H/.exec(ground)?.[1])).toBeCloseTo(line[1]?.[1] ?? NaN, 6);
});

import { expect, test } from "vitest";
import { DeviceClock } from "./device-clock";

const HOUR = 3_600_000;
const SERVER = Date.UTC(2026, 10, 23, 8);

function device(offBy: number) {
  let steady = 1000;
  let date = SERVER + offBy;
  const clock = new DeviceClock(
    () => date,
    () => steady,
  );
  clock.heard(SERVER);
  return {
    clock,
    passes: (ms: number) => {
      steady += ms;
      date += ms;
    },
    isSet: (by: number) => (date += by),
    /** What a reading logged now is filed under. */
    filed: () => date + clock.offset - SERVER,
  };
}

test("a clock that is off, and stays so, is told apart from the server’s", () => {
  const tablet = device(3 * HOUR);
  tablet.passes(10 * 60_000);
  expect(tablet.clock.offset).toBe(-3 * HOUR);
  expect(tablet.filed()).toBe(10 * 60_000);
  expect(tablet.clock.jumped).toBe(false);
});
test("a fast clock that is put right while the page is open files nothing hours early", () => {
  const tablet = device(3 * HOUR);
  tablet.passes(60_000);
  tablet.isSet(-3 * HOUR);
  expect(tablet.filed()).toBe(60_000);
  expect(tablet.clock.jumped).toBe(true);
});
test("a tablet that slept an hour files by its clock, and asks the time", () => {
  const tablet = device(5000);
  tablet.isSet(HOUR);
  expect(tablet.filed()).toBe(HOUR);
  expect(tablet.clock.jumped).toBe(true);
  tablet.clock.heard(SERVER + HOUR);
  expect(tablet.clock.jumped).toBe(false);
});

import { describe, expect, test } from "vitest";
import { dayAsked, dayIn, dayInWords, minuteOfMoment, momentOfMinute, weekdayOf } from "./calendar-day";
import { closedFrom } from "./closed.server";

const ZURICH = "Europe/Zurich";
const NOW = new Date("2026-12-01T08:00:00Z");
const calendar = (...events: string[]): string =>
  ["BEGIN:VCALENDAR", "VERSION:2.0", "PRODID:-//x//y//EN", ...events, "END:VCALENDAR"].join("\r\n");
const event = (lines: string): string =>
  `BEGIN:VEVENT\r\nUID:a@x\r\nDTSTAMP:20261101T000000Z\r\n${lines}\r\nEND:VEVENT`;

describe("minutes of a plan", () => {
  test("midnight two days before is minute 0; service at six is there and back", () => {
    expect(momentOfMinute("2026-12-05", 0, ZURICH).toISOString()).toBe("2026-12-02T23:00:00.000Z");
    const six = momentOfMinute("2026-12-05", 2880 + 18 * 60, ZURICH);
    expect(six.toISOString()).toBe("2026-12-05T17:00:00.000Z");
    expect(minuteOfMoment("2026-12-05", six, ZURICH)).toBe(2880 + 18 * 60);
  });
  test("over the night the clocks change six o’clock is six o’clock", () => {
    const six = momentOfMinute("2026-10-25", 2880 + 18 * 60, ZURICH);
    expect(six.toISOString()).toBe("2026-10-25T17:00:00.000Z");
    expect(momentOfMinute("2026-10-25", 1440 + 18 * 60, ZURICH).toISOString()).toBe(
      "2026-10-24T16:00:00.000Z",
    );
    expect(minuteOfMoment("2026-10-25", six, ZURICH)).toBe(2880 + 18 * 60);
  });
  test("days of an address: only real ones", () => {
    expect([
      dayAsked("2026-12-05"),
      dayAsked("2026-02-30"),
      dayAsked("tomorrow"),
      dayAsked(undefined),
    ]).toEqual(["2026-12-05", null, null, null]);
    expect([dayInWords("2026-12-05"), dayInWords("none")]).toEqual(["Saturday 5 December", "Day"]);
    expect(weekdayOf("2026-12-05")).toBe(6);
    expect(dayIn(new Date("2026-12-04T23:30:00Z"), ZURICH)).toBe("2026-12-05");
  });
});

describe("closed times out of a calendar", () => {
  const taken = (text: string) => {
    const read = closedFrom(text, "everybody", NOW);
    return read.ok ? read.value : read.problems.map(p => p.message);
  };
  test("an event is a time; what is past is left", () => {
    const text = calendar(
      event("DTSTART:20261205T080000Z\r\nDTEND:20261205T100000Z\r\nSUMMARY:Fire drill"),
      event("DTSTART:20261001T080000Z\r\nDTEND:20261001T100000Z\r\nSUMMARY:Past"),
    );
    expect(taken(text)).toMatchObject([
      { why: "Fire drill", startsAt: new Date("2026-12-05T08:00:00Z"), resource: "everybody" },
    ]);
  });
  test("one that comes again each week is taken apart, four months far", () => {
    const times = taken(
      calendar(
        event(
          "DTSTART:20261207T080000Z\r\nDTEND:20261207T090000Z\r\nRRULE:FREQ=WEEKLY\r\nSUMMARY:Closed Mondays",
        ),
      ),
    );
    expect(times).toHaveLength(17);
    expect(new Set((times as { uid: string }[]).map(t => t.uid)).size).toBe(17);
  });
  test.each([
    ["what is no calendar", "hello", "cannot be read"],
    ["an empty one", calendar(), "no event"],
    ["half a file", "BEGIN:VCALENDAR\r\nBEGIN:VEVENT", ""],
  ])("%s is refused in words", (_, text, words) => {
    expect(String(taken(text))).toContain(words);
  });
});

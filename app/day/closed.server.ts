import ICAL from "ical.js";
import { ulid } from "ulid";
import { type Problem, type Result, ok, refuse } from "~/core/ground/result";
import type { ClosedTime } from "~/data";

/** A calendar that is brought in is read so far: more is nobody’s closing times. */
const MOST_TIMES = 500;
const FAR_DAYS = 120;

const problem = (message: string): Problem => ({ code: "NOT_UNDERSTOOD", field: "file", message });

/**
 * Closed times out of a calendar file (RFC 5545): each event from now on, repeated ones taken apart.
 * @errors NOT_UNDERSTOOD with what is wrong
 */
export function closedFrom(text: string, resource: string, now: Date): Result<ClosedTime[]> {
  let events: ICAL.Event[];
  try {
    const root = new ICAL.Component(ICAL.parse(text) as unknown as unknown[]);
    if (root.name !== "vcalendar")
      return refuse(problem("This is no calendar: it should begin with BEGIN:VCALENDAR."));
    events = root.getAllSubcomponents("vevent").map(event => new ICAL.Event(event));
  } catch (error) {
    return refuse(
      problem(
        `This calendar cannot be read: ${error instanceof Error ? error.message : "it is broken"}. Send it out again as a .ics file.`,
      ),
    );
  }
  if (!events.length) return refuse(problem("There is no event in this calendar."));
  const until = new Date(now.getTime() + FAR_DAYS * 86_400_000);
  const times: ClosedTime[] = [];
  const add = (event: ICAL.Event, start: ICAL.Time, end: ICAL.Time, sign: string): void => {
    const [startsAt, endsAt] = [start.toJSDate(), end.toJSDate()];
    if (endsAt <= now || startsAt >= until || !(endsAt > startsAt) || times.length >= MOST_TIMES) return;
    times.push({
      id: ulid(),
      resource,
      startsAt,
      endsAt,
      why: (event.summary || "closed").slice(0, 120),
      uid: `${event.uid} ${sign}`.slice(0, 200),
    });
  };
  for (const event of events) {
    if (!event.isRecurring()) {
      add(event, event.startDate, event.endDate, event.startDate.toString());
      continue;
    }
    const each = event.iterator();
    for (let n = 0; n < MOST_TIMES; n++) {
      const at = each.next() as ICAL.Time | null;
      if (!at || at.toJSDate() >= until) break;
      const found = event.getOccurrenceDetails(at);
      add(event, found.startDate, found.endDate, found.startDate.toString());
    }
  }
  return ok(times);
}

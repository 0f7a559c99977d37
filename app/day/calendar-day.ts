import { TZDate } from "@date-fns/tz";
import { addDays, format } from "date-fns";
import { DAYS_AHEAD } from "~/core/day";

/** Days and minutes of a plan in the kitchen’s own time zone. A plan counts from midnight, `DAYS_AHEAD` days before service. */

const DAY = /^\d{4}-\d{2}-\d{2}$/;

/** A day as it stands in an address; `null` for what is none. */
export function dayAsked(text: string | undefined): string | null {
  if (!text || !DAY.test(text)) return null;
  const parsed = new Date(`${text}T12:00:00Z`);
  return Number.isNaN(parsed.getTime()) || parsed.toISOString().slice(0, 10) !== text ? null : text;
}

const midnight = (date: string, timeZone: string): TZDate => {
  const [y, m, d] = date.split("-").map(Number) as [number, number, number];
  return new TZDate(y, m - 1, d, 0, 0, 0, timeZone);
};

export const dayIn = (at: Date | number, timeZone: string): string =>
  format(new TZDate(Number(at), timeZone), "yyyy-MM-dd");

/** The moment of a minute of the plan. Clocks that change in between are kept to: 18:00 is 18:00. */
export function momentOfMinute(date: string, minute: number, timeZone: string): Date {
  const days = Math.floor(minute / 1440) - DAYS_AHEAD;
  const at = addDays(midnight(date, timeZone), days);
  at.setHours(0, minute - Math.floor(minute / 1440) * 1440, 0, 0);
  return new Date(at.getTime());
}

/** The minute of the plan that a moment is in. */
export function minuteOfMoment(date: string, at: Date | number, timeZone: string): number {
  const local = new TZDate(Number(at), timeZone);
  const day = format(local, "yyyy-MM-dd");
  const days = Math.round((Date.parse(`${day}T00:00:00Z`) - Date.parse(`${date}T00:00:00Z`)) / 86_400_000);
  return (days + DAYS_AHEAD) * 1440 + local.getHours() * 60 + local.getMinutes();
}

export const weekdayOf = (date: string): number => new Date(`${date}T12:00:00Z`).getUTCDay();

/** "Saturday 5 December"; of what is no day, plain "Day". */
export const dayInWords = (date: string | undefined): string =>
  dayAsked(date) ? format(new Date(`${date}T12:00:00`), "EEEE d MMMM") : "Day";

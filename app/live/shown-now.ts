import type { Device } from "~/data";
import type { Shown } from "../stove/shown";

/** What an instrument showed longer ago than this it does not show any more, ms. */
const STALE_MS = 2 * 60_000;

/** What instruments show at a moment. */
export const shownNow = (devices: readonly Device[], now: number): Shown[] =>
  devices.flatMap(({ kind, name, value, unit, readAt }) =>
    value === null || readAt === null || now - readAt.getTime() > STALE_MS
      ? []
      : [{ instrument: kind, name, value, unit: unit ?? "" }],
  );

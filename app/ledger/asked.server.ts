import {
  LEDGER_GROUPS,
  LEDGER_SORTS,
  type LedgerCursor,
  type LedgerFilter,
  type LedgerGroup,
  type LedgerSort,
} from "~/data";
import { dayAsked, momentOfMinute } from "../day/calendar-day";

/** What of the ledger is asked for, as its address says it; what cannot be is left out. */
export interface LedgerAsked {
  readonly filter: LedgerFilter;
  readonly sort: LedgerSort;
  readonly group: LedgerGroup | null;
  readonly after: LedgerCursor | null;
  /** As it is said again in links and forms. */
  readonly said: Readonly<Record<string, string>>;
}

const LONGEST_ID = 40;
const DAY_MIN = 24 * 60;

export function ledgerAsked(query: URLSearchParams, timeZone: string): LedgerAsked {
  const id = (name: string): string | null => query.get(name)?.slice(0, LONGEST_ID) || null;
  const [from, to] = [dayAsked(query.get("from") ?? undefined), dayAsked(query.get("to") ?? undefined)];
  const only = (["incidents", "off plan"] as const).find(o => o === query.get("only")) ?? null;
  const sort = LEDGER_SORTS.find(s => s === query.get("sort")) ?? "newest";
  const group = LEDGER_GROUPS.find(g => g === query.get("by")) ?? null;
  const [sauce, cook, burner] = [id("sauce"), id("cook"), id("burner")];
  return {
    filter: {
      formulaId: sauce,
      personId: cook,
      burnerId: burner,
      from: from ? momentOfMinute(from, 0, timeZone) : null,
      to: to ? momentOfMinute(to, DAY_MIN, timeZone) : null,
      only,
    },
    sort,
    group,
    after: cursorIn(query.get("after"), sort),
    said: Object.fromEntries(
      Object.entries({
        sauce,
        cook,
        burner,
        from,
        to,
        only,
        by: group,
        sort: sort === "newest" ? null : sort,
      }).filter((entry): entry is [string, string] => entry[1] !== null),
    ),
  };
}

/** A mark between what a page was sorted by and which batch it was. */
const SEAM = "~";

export const cursorText = ({ value, runId }: LedgerCursor): string => `${value}${SEAM}${runId}`;

function cursorIn(text: string | null, sort: LedgerSort): LedgerCursor | null {
  const [value, runId] = text?.split(SEAM) ?? [];
  if (!value || !runId) return null;
  const byTime = sort === "newest" || sort === "oldest";
  const readable = byTime ? !Number.isNaN(Date.parse(value)) : Number.isFinite(Number(value));
  return readable ? { value, runId: runId.slice(0, LONGEST_ID) } : null;
}

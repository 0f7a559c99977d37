import { addDays, format } from "date-fns";
import { Link, NavLink } from "react-router";
import { dayInWords } from "./calendar-day";

const TABS = [
  ["", "Board"],
  ["/lists", "Lists"],
  ["/service", "Service"],
  ["/hand-over", "Hand-over"],
  ["/paper", "On paper"],
] as const;

const shifted = (date: string, days: number): string =>
  format(addDays(new Date(`${date}T12:00:00`), days), "yyyy-MM-dd");

/** The day a screen is about, and the screens of it. */
export function DayTabs({ date, children }: { date: string; children?: React.ReactNode }) {
  return (
    <div className="flex flex-wrap items-end gap-x-6 gap-y-2 print:hidden">
      <div className="flex items-center gap-1">
        <Link
          to={`/day/${shifted(date, -1)}`}
          aria-label="the day before"
          className="rounded-md px-2 py-1 text-xl hover:bg-linen"
        >
          ‹
        </Link>
        <h1 className="text-2xl">{dayInWords(date)}</h1>
        <Link
          to={`/day/${shifted(date, 1)}`}
          aria-label="the day after"
          className="rounded-md px-2 py-1 text-xl hover:bg-linen"
        >
          ›
        </Link>
      </div>
      <nav aria-label="Screens of the day" className="flex flex-wrap gap-1">
        {TABS.map(([path, label]) => (
          <NavLink
            key={path}
            end
            to={`/day/${date}${path}`}
            className={({ isActive }) =>
              `rounded-md px-3 py-1 ${isActive ? "bg-ink text-enamel" : "hover:bg-linen"}`
            }
          >
            {label}
          </NavLink>
        ))}
        <NavLink to="/cold" className="rounded-md px-3 py-1 hover:bg-linen">
          Cold
        </NavLink>
      </nav>
      {children}
    </div>
  );
}

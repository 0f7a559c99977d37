import { NavLink } from "react-router";

const TABS = [
  ["/ledger", "Batches"],
  ["/ledger/charts", "Charts"],
  ["/ledger/losses", "Losses"],
  ["/ledger/learned", "Learned"],
  ["/ledger/trials", "Trials"],
] as const;

/** The screens of the ledger. */
export function LedgerTabs() {
  return (
    <nav aria-label="Screens of the ledger" className="flex flex-wrap gap-1">
      {TABS.map(([to, label]) => (
        <NavLink
          key={to}
          end
          to={to}
          className={({ isActive }) =>
            `rounded-md px-3 py-1 ${isActive ? "bg-ink text-enamel" : "hover:bg-linen"}`
          }
        >
          {label}
        </NavLink>
      ))}
    </nav>
  );
}

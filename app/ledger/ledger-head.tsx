import { NavLink } from "react-router";

const TABS = [
  ["/ledger", "Batches"],
  ["/ledger/charts", "Charts"],
  ["/ledger/losses", "Losses"],
  ["/ledger/learned", "Learned"],
  ["/ledger/trials", "Trials"],
] as const;

/** Head of a screen of the ledger, with the way to the others. */
export function LedgerHead({ title, children }: { title: string; children?: React.ReactNode }) {
  return (
    <div className="flex flex-wrap items-baseline gap-x-6 gap-y-2">
      <h1 className="text-3xl">{title}</h1>
      <Tabs />
      {children}
    </div>
  );
}

function Tabs() {
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

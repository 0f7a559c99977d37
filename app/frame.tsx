import { useEffect, useMemo } from "react";
import { Link, NavLink, Outlet, useLocation, useNavigate } from "react-router";
import { openKitchen } from "~/core/formula";
import { printNumber } from "~/core/ground/quantity";
import type { Route } from "./+types/frame";
import { useKitchenWith, useMadeHere } from "./kitchen/context";
import { useLive } from "./live/use-live";
import { keepPots } from "./offline/keep-pages";
import { QuickSums } from "./sums/quick-sums";
import { AnswerTakerProvider } from "./sums/answer-taker";
import { CommandProvider, Key, type ScreenCommand, useCommands, usePalette } from "./ui/commands";
import { useConnected } from "./ui/use-connected";
import { Wordmark } from "./ui/wordmark";

export { loader } from "./frame.server";

export { shouldRevalidate } from "./saving";

const SECTIONS = [
  { to: "/", label: "Range" },
  { to: "/bench", label: "Bench" },
  { to: "/day", label: "Day" },
  { to: "/book", label: "Book" },
  { to: "/ledger", label: "Ledger" },
  { to: "/tastings", label: "Tastings" },
  { to: "/larder", label: "Larder" },
  { to: "/kit", label: "Kit" },
];

export default function Frame({ loaderData }: Route.ComponentProps) {
  useLive();
  const onFire = loaderData.onFire.map(pot => pot.id).join(" ");
  useEffect(() => keepPots(onFire.split(" ").filter(Boolean)), [onFire]);
  return (
    <CommandProvider>
      <AnswerTakerProvider>
        <QuickSums />
        <GoTo />
        <Header person={loaderData.person} />
        <FireStrip onFire={loaderData.onFire} />
        <Outlet />
      </AnswerTakerProvider>
    </CommandProvider>
  );
}

function GoTo() {
  const madeHere = useMadeHere();
  const navigate = useNavigate();
  const commands = useMemo<ScreenCommand[]>(
    () => [
      ...SECTIONS.map(section => ({
        id: section.to,
        label: section.label,
        group: "Go to",
        run: () => void navigate(section.to),
      })),
      { id: "who", label: "Somebody else is cooking", group: "Go to", run: () => void navigate("/who") },
      ...Object.entries(madeHere).map(([id, { name }]) => ({
        id,
        label: name,
        group: "Formulas",
        run: () => void navigate(`/bench/${id}`),
      })),
    ],
    [madeHere, navigate],
  );
  useCommands(commands);
  return null;
}

function Header({ person }: Pick<Route.ComponentProps["loaderData"], "person">) {
  const kitchen = useKitchenWith();
  const boilsC = useMemo(() => openKitchen(kitchen).boilsC, [kitchen]);
  const openPalette = usePalette();
  const connected = useConnected();
  const { pathname, search } = useLocation();
  return (
    <header className="no-print painted-apart flex min-h-13 flex-wrap items-center gap-x-6 gap-y-1 border-b border-rule px-4 py-2 sm:px-6">
      <Link to="/" aria-label="Hondaro, to the Range" className="flex">
        <Wordmark small />
      </Link>
      <nav aria-label="Sections" className="flex flex-wrap gap-x-1 sm:gap-x-2">
        {SECTIONS.map(section => (
          <NavLink
            key={section.to}
            to={section.to}
            end={section.to === "/"}
            className={({ isActive }) =>
              `rounded-md px-2 py-1 ${isActive ? "font-bold text-ink underline decoration-copper decoration-2 underline-offset-8" : "text-faded hover:text-copper"}`
            }
          >
            {section.label}
          </NavLink>
        ))}
      </nav>
      <div className="ml-auto flex items-center gap-3 text-sm text-faded">
        {!connected && (
          <span role="status" className="font-semibold text-saffron-ink">
            no network: what was here last
          </span>
        )}
        <span className="hidden xl:inline">
          {kitchen.name}
          {kitchen.demo && " (demo)"} · {printNumber(kitchen.altitudeM)} m · water boils{" "}
          {printNumber(boilsC, 1)} °C
        </span>
        <button
          type="button"
          onClick={openPalette}
          aria-label="Go to, or do anything by name"
          className="hidden rounded-md hover:text-copper sm:inline"
        >
          <Key>Ctrl K</Key>
        </button>
        <Link
          to={`/who?to=${encodeURIComponent(pathname + search)}`}
          className="font-bold text-ink hover:text-copper"
          title="Somebody else is cooking"
        >
          {person.name.split(" ")[0]}
        </Link>
      </div>
    </header>
  );
}

/** What is on the fire, on every screen but the Range itself. */
function FireStrip({ onFire }: Pick<Route.ComponentProps["loaderData"], "onFire">) {
  const { pathname } = useLocation();
  if (!onFire.length || pathname === "/") return null;
  return (
    <nav
      aria-label="On the fire"
      className="no-print flex gap-x-6 gap-y-1 overflow-x-auto border-b border-rule bg-linen px-4 py-1.5 text-sm sm:px-6"
    >
      {onFire.map(pot => (
        <Link
          key={pot.id}
          to={`/stove/${pot.id}`}
          className="flex items-center gap-2 whitespace-nowrap hover:text-copper"
        >
          <svg aria-hidden="true" viewBox="0 0 20 20" className="size-5">
            <path
              d="M3 3v11a3 3 0 0 0 3 3h8a3 3 0 0 0 3-3V3"
              fill="none"
              stroke="currentColor"
              strokeWidth="2"
              strokeLinecap="round"
            />
            <rect x="5" y={6 + 6 * pot.progress} width="10" height={9 - 6 * pot.progress} fill="#b8803e" />
          </svg>
          <span className="font-semibold">{pot.name}</span>
          <span className="text-faded">
            {pot.step.toLowerCase()}, {pot.words}
          </span>
        </Link>
      ))}
    </nav>
  );
}

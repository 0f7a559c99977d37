import { Popover } from "radix-ui";
import { memo } from "react";
import { Link } from "react-router";
import type { Kitchen, Walk } from "~/core/formula";
import type { Formula } from "../use-formula";
import { PANELS, type PanelId } from "./panel-ids";
import { AimPanel } from "./aim-panel";
import { BindingPanel } from "./binding-panel";
import { CostPanel } from "./cost-panel";
import { DaughtersPanel } from "./daughters-panel";
import { EmulsionPanel } from "./emulsion-panel";
import { FixPanel } from "./fix-panel";
import { PrepPanel } from "./prep-panel";
import { PureePanel } from "./puree-panel";
import { SaltPanel } from "./salt-panel";
import { ScalePanel } from "./scale-panel";
import { TastePanel } from "./taste-panel";
import { SchoolsPanel } from "./schools-panel";
import { sheetsThatSpeak } from "./sheets-that-speak";

/** What can be asked of the whole formula; one sheet at a time, in place under the header. */
export function Panels({
  open,
  onOpen,
  formula,
  formulaId,
  kitchen,
  walked,
  burnerId,
}: {
  open: PanelId | null;
  onOpen: (panel: PanelId | null) => void;
  formula: Formula;
  formulaId: string;
  kitchen: Kitchen;
  walked: Walk;
  burnerId: string;
}) {
  const props = { formula, kitchen, walked, burnerId };
  const speak = sheetsThatSpeak(formula.document, walked, kitchen);
  const quiet = (Object.keys(PANELS) as PanelId[]).filter(id => speak[id] === false && id !== open);
  return (
    <>
      <PanelBar open={open} onOpen={onOpen} quiet={quiet.join(" ")} formulaId={formulaId} />
      {open && (
        <section
          aria-label={PANELS[open]}
          className="mx-4 mb-4 rounded-xl border border-rule bg-enamel p-5 sm:mx-6"
        >
          {open === "schools" && <SchoolsPanel {...props} />}
          {open === "scale" && <ScalePanel {...props} />}
          {open === "aim" && <AimPanel {...props} />}
          {open === "binding" && <BindingPanel {...props} formulaId={formulaId} />}
          {open === "emulsion" && <EmulsionPanel {...props} />}
          {open === "puree" && <PureePanel {...props} />}
          {open === "taste" && <TastePanel {...props} />}
          {open === "fixes" && <FixPanel {...props} />}
          {open === "salt" && <SaltPanel {...props} />}
          {open === "cost" && <CostPanel {...props} />}
          {open === "prep" && <PrepPanel {...props} />}
          {open === "daughters" && <DaughtersPanel {...props} formulaId={formulaId} />}
        </section>
      )}
    </>
  );
}

/** What can be opened, and where else to go; nothing in it changes while amounts are typed. */
const PanelBar = memo(function PanelBar({
  open,
  onOpen,
  quiet,
  formulaId,
}: {
  open: PanelId | null;
  onOpen: (panel: PanelId | null) => void;
  /** Ids of the sheets that have nothing to say of this formula, with spaces between. */
  quiet: string;
  formulaId: string;
}) {
  const link = "text-faded hover:text-copper";
  const silent = new Set(quiet.split(" "));
  const ids = Object.keys(PANELS) as PanelId[];
  return (
    <div
      role="group"
      aria-label="The whole formula"
      className="flex flex-wrap gap-x-5 gap-y-1 px-4 pb-3 text-sm sm:px-6"
    >
      {ids
        .filter(id => !silent.has(id))
        .map(id => (
          <button
            key={id}
            type="button"
            aria-expanded={open === id}
            onClick={() => onOpen(open === id ? null : id)}
            className={
              open === id
                ? "font-bold underline decoration-copper decoration-2 underline-offset-4"
                : "hover:text-copper"
            }
          >
            {PANELS[id]}
          </button>
        ))}
      {quiet && <MoreSheets ids={ids.filter(id => silent.has(id))} onOpen={onOpen} />}
      <span className="flex flex-wrap gap-x-5 sm:ml-auto">
        <Link to={`/bench/${formulaId}/versions`} className={link}>
          Versions
        </Link>
        <Link to={`/bench/${formulaId}/other-main`} className={link}>
          Other main ingredient
        </Link>
        <Link to={`/bench/${formulaId}/card`} className={link}>
          Card, print
        </Link>
        <TakeAway formulaId={formulaId} />
      </span>
    </div>
  );
});

/** Sheets that would only show an example here: still to be had. */
function MoreSheets({ ids, onOpen }: { ids: readonly PanelId[]; onOpen: (panel: PanelId) => void }) {
  return (
    <Popover.Root>
      <Popover.Trigger className="text-faded hover:text-copper">more</Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="start"
          sideOffset={6}
          className="z-40 rounded-lg border border-rule bg-enamel p-2 shadow-lg"
        >
          {ids.map(id => (
            <Popover.Close key={id} asChild>
              <button
                type="button"
                onClick={() => onOpen(id)}
                className="block w-full rounded-md px-3 py-1.5 text-left hover:bg-linen"
              >
                <span className="font-semibold">{PANELS[id]}</span>{" "}
                <span className="text-faded">{NOT_HERE[id]}</span>
              </button>
            </Popover.Close>
          ))}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

/** Why a sheet stands back. */
const NOT_HERE: Readonly<Partial<Record<PanelId, string>>> = {
  schools: "this formula follows no family",
  binding: "nothing binds it yet",
  emulsion: "nothing is beaten in; one can be built",
  puree: "it is no purée; one can be worked out",
  fixes: "there is no sauce yet",
};

const FILES = [
  ["json", "whole, for another Hondaro"],
  ["md", "to read and print"],
  ["csv", "the lines, for a spreadsheet"],
  ["jsonld", "a recipe, for other programs"],
] as const;

/** The formula as a file, in open formats. */
function TakeAway({ formulaId }: { formulaId: string }) {
  return (
    <Popover.Root>
      <Popover.Trigger className="text-faded hover:text-copper">Take away</Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="end"
          sideOffset={6}
          className="z-40 rounded-lg border border-rule bg-enamel p-2 shadow-lg"
        >
          {FILES.map(([ending, words]) => (
            <a
              key={ending}
              href={`/api/formulas/${formulaId}.${ending}`}
              download
              className="block rounded-md px-3 py-1.5 hover:bg-linen"
            >
              <span className="font-semibold">.{ending}</span> <span className="text-faded">{words}</span>
            </a>
          ))}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

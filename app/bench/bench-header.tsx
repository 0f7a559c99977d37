import { Popover } from "radix-ui";
import { useSyncExternalStore } from "react";
import { Form, useActionData, useNavigation } from "react-router";
import { type Kitchen, type Walk, atSize } from "~/core/formula";
import { familyById } from "~/core/families";
import { g, printDuration, printNumber } from "~/core/ground/quantity";
import { BURNER_CLASSES, FLAT_TOPS } from "~/core/laws/reduction";
import { useMay } from "../people/use-may";
import { Ask } from "../ui/ask";
import { Button } from "../ui/button";
import { readMass } from "../ui/read";
import { TypedField } from "../ui/typed-field";
import type { CookReply } from "./replies";
import type { SaveState } from "./session";
import type { Formula } from "./use-formula";
import { useKeptReply } from "../ui/use-kept-reply";

const SAVE_WORDS: Record<SaveState, string> = {
  saved: "saved",
  waiting: "typing …",
  saving: "saving …",
  offline: "not saved yet: no connection; kept on this device",
  refused: "not saved",
  conflict: "not saved: somebody else saved meanwhile",
};

/** Whether everything typed is saved: a key counts here before the page has followed it. */
function useSaveState({ saveState, base, typed, onTyped }: Formula): SaveState {
  const now = () => (saveState === "saved" && typed() !== base ? "waiting" : saveState);
  return useSyncExternalStore(onTyped, now, () => saveState);
}

export interface BenchHeaderProps {
  /** Whether nothing but its size differs from what is kept. */
  asKept: boolean;
  formula: Formula;
  formulaId: string;
  kitchen: Kitchen;
  walked: Walk;
  /** Burner it will stand on: times are forecast for it. */
  burnerId: string;
  onBurner: (id: string) => void;
  yieldBand: string;
  /** So little is left that nobody meant it: the headline does not stand. */
  little: boolean;
  timeBand: string;
  /** Id of the run that “Cook this” begins: sent twice, it is one pot. */
  newRunId: string;
}

export function BenchHeader({
  asKept,
  formula,
  kitchen,
  walked,
  burnerId,
  onBurner,
  yieldBand,
  little,
  timeBand,
  newRunId,
}: BenchHeaderProps) {
  const { document, edit } = formula;
  return (
    <section
      aria-label="Formula"
      className="painted-apart flex flex-wrap items-start gap-x-8 gap-y-3 px-4 pt-5 pb-2 sm:px-6"
    >
      <div className="mr-auto max-w-xl min-w-64 grow basis-80">
        <h1>
          <NameField formula={formula} />
        </h1>
        <p className="text-sm text-faded">
          {familyById(document.family)?.name ?? "own method"} · {document.school} · version {formula.number},{" "}
          <SaveWords formula={formula} />
          {formula.refusal && <span className="text-beet">: {formula.refusal}</span>}
        </p>
      </div>
      <TypedField
        label={`from ${document.base.name}`}
        shown={`${printNumber(document.base.massG / 1000, 2)} kg`}
        read={readMass("The base", "kg")}
        onRead={massG => edit(d => atSize(d, g(massG)), "base")}
        width="w-28"
        look="h-7.5 border-b-2 !border-copper bg-transparent font-display text-xl font-semibold text-copper"
      />
      <KeyFigure label="gives" band={yieldBand && `${yieldBand} l`}>
        {little ? (
          <span className="text-beet">almost nothing</span>
        ) : walked.finishedMl > 0 && !walked.problems.length ? (
          <Ask of={{ ask: "yield" }} label={`Yield ${litresShown(walked.finishedMl)} litres`}>
            {litresShown(walked.finishedMl)} l
          </Ask>
        ) : (
          "no yield yet"
        )}
      </KeyFigure>
      <KeyFigure label="in" band={timeBand}>
        {printDuration(walked.totalS)}
      </KeyFigure>
      <div className="flex gap-2 pt-1">
        <CookButton
          formula={formula}
          kitchen={kitchen}
          burnerId={burnerId}
          onBurner={onBurner}
          newRunId={newRunId}
          asKept={asKept}
          cookable={walked.problems.length === 0 && walked.states.length > 0}
        />
      </div>
    </section>
  );
}

/** A small yield needs its second decimal. */
const litresShown = (volumeMl: number): string => printNumber(volumeMl / 1000, volumeMl < 2000 ? 2 : 1);

function KeyFigure({ label, band, children }: { label: string; band: string; children: React.ReactNode }) {
  return (
    <div>
      <p className="text-xs text-faded">{label}</p>
      <p className="font-display text-xl font-semibold whitespace-nowrap">{children}</p>
      <p className="h-5 text-xs whitespace-nowrap text-faded">{band}</p>
    </div>
  );
}

// These follow every key by themselves; the header around them is drawn with the page.

function NameField({ formula }: { formula: Formula }) {
  const nameNow = () => formula.typed().name;
  const name = useSyncExternalStore(formula.onTyped, nameNow, () => formula.document.name);
  return (
    <input
      aria-label="Name of the formula"
      value={name}
      maxLength={120}
      onChange={event => {
        const to = event.currentTarget.value;
        if (to.trim()) formula.edit(d => ({ ...d, name: to }), "name");
      }}
      className="-ml-1 w-full rounded-md border border-transparent bg-transparent px-1 font-display text-2xl leading-tight font-semibold hover:border-rule"
    />
  );
}

function SaveWords({ formula }: { formula: Formula }) {
  const saveState = useSaveState(formula);
  const good = saveState === "saved";
  const waiting = saveState === "waiting" || saveState === "saving";
  return (
    <span role="status" className={good ? "text-sorrel" : waiting ? "" : "font-bold text-beet"}>
      {good ? "✓ " : waiting ? "" : "✕ "}
      {SAVE_WORDS[saveState]}
    </span>
  );
}

function CookButton({
  formula,
  kitchen,
  burnerId,
  onBurner,
  newRunId,
  cookable,
  asKept,
}: {
  formula: Formula;
  kitchen: Kitchen;
  burnerId: string;
  onBurner: (id: string) => void;
  newRunId: string;
  /** Whether the line can be cooked as it stands; it also has to be saved. */
  cookable: boolean;
  /** Whether nothing but its size differs from what is kept. */
  asKept: boolean;
}) {
  const mayEdit = useMay("edit");
  // Who may not change the recipe cooks it as it is kept, at any size.
  const ready = (useSaveState(formula) === "saved" || (!mayEdit && asKept)) && cookable;
  const refused = useKeptReply(useActionData<CookReply>());
  const mayLog = useMay("log");
  const busy = useNavigation().state !== "idle";
  return (
    <Form method="post" id={COOK_FORM} className="relative flex gap-2">
      <input type="hidden" name="run" value={newRunId} />
      <input type="hidden" name="base" value={formula.document.base.massG} />
      {refused && "taken" in refused && <input type="hidden" name="taken" value={refused.taken} />}
      <label className="sr-only" htmlFor="cook-burner">
        On which burner
      </label>
      <select
        id="cook-burner"
        name="burner"
        value={burnerId}
        onChange={event => onBurner(event.currentTarget.value)}
        className="max-w-36 rounded-lg border border-rule bg-enamel px-2 py-2 text-sm"
      >
        {kitchen.data.burners.map(burner => (
          <option key={burner.id} value={burner.id}>
            {burner.name}
            {burner.kind in FLAT_TOPS
              ? ""
              : `, ${BURNER_CLASSES[burner.kind as keyof typeof BURNER_CLASSES].label}`}
          </option>
        ))}
      </select>
      <Button look="act" type="submit" disabled={!ready || busy || !mayLog}>
        Cook this
      </Button>
      <RehearseMenu ready={ready && !busy && mayLog} />
      {refused && "problem" in refused && (
        <p
          role="alert"
          className="absolute top-full right-0 mt-1 w-72 rounded-md bg-beet-wash p-2 text-sm text-beet"
        >
          ✕ {refused.problem}
        </p>
      )}
    </Form>
  );
}

/** What stands in a portal is handed in with it. */
const COOK_FORM = "cook-form";

const SPEEDS = [
  [1, "as fast as the clock"],
  [10, "10 times as fast"],
  [60, "a minute in a second"],
  [120, "two minutes in a second"],
] as const;

/** The same on the simulated stove: nothing burns but time. */
function RehearseMenu({ ready }: { ready: boolean }) {
  return (
    <Popover.Root>
      <Popover.Trigger className="min-h-10 rounded-lg border border-rule bg-enamel px-3 text-sm hover:border-copper">
        Rehearse
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="end"
          sideOffset={4}
          className="z-20 w-64 rounded-lg border border-rule bg-enamel p-2 shadow-lg"
        >
          <p className="px-2 pb-1 text-sm text-faded">
            On a simulated stove, with its consequences. No trace in batches or records.
          </p>
          {SPEEDS.map(([speed, words]) => (
            <button
              key={speed}
              type="submit"
              form={COOK_FORM}
              name="rehearse"
              value={speed}
              disabled={!ready}
              className="block min-h-11 w-full rounded-md px-2 text-left hover:bg-linen disabled:opacity-45"
            >
              {words}
            </button>
          ))}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

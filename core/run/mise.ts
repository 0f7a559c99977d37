import { type StateAfterStep, kindOf } from "../formula";
import type { Ingredient } from "../things/larder";
import type { RunState } from "./fold";
import type { Lock } from "./locks";

/** What stands ready before anything is on the fire, and what hands and pans must be before a step. */

export interface MiseItem {
  /** As it is ticked in the log. */
  readonly what: string;
  readonly massG: number | null;
  /** Without it the run comes to a stop in the middle. */
  readonly critical: boolean;
  readonly ticked: boolean;
}

/** A tool a kind of step cannot be done without; `critical`: nothing else in a kitchen stands in for it. Common practice, no source. */
export function toolOf({
  step,
}: Pick<StateAfterStep, "step">): { readonly what: string; readonly critical: boolean } | null {
  switch (step.kind) {
    case "strain":
      return { what: "strainer", critical: true };
    case "pass":
      return { what: "fine sieve and ladle", critical: true };
    case "blend":
    case "emulsify":
      return { what: step.tool, critical: step.kind === "blend" };
    case "skim":
    case "degrease":
      return { what: "skimming ladle", critical: false };
    case "cool":
      return { what: "probe, and ice or the cold place", critical: false };
    case "roast":
    case "braise":
      return { what: `oven at ${kindOf(step).ovenC?.(step) ?? 180} °C`, critical: false };
    default:
      return null;
  }
}

/** The list for a run: each ingredient once with all it takes, each vessel and tool once. */
export function miseOf(run: RunState): MiseItem[] {
  const masses = new Map<string, number>();
  const tools = new Map<string, boolean>();
  for (const state of run.planned.states) {
    for (const line of state.lines) masses.set(line.name, (masses.get(line.name) ?? 0) + line.massG);
    if (state.vessel) tools.set(state.vessel.name, tools.get(state.vessel.name) ?? false);
    const tool = toolOf(state);
    if (tool) tools.set(tool.what, tool.critical || (tools.get(tool.what) ?? false));
  }
  const ticked = new Set(run.steps[0]?.ticked ?? []);
  const item = (what: string, massG: number | null, critical: boolean): MiseItem => ({
    what,
    massG,
    critical,
    ticked: ticked.has(readyWords(what)),
  });
  return [
    ...[...masses].filter(([, massG]) => massG > 0).map(([name, massG]) => item(name, massG, false)),
    ...[...tools].map(([name, critical]) => item(name, null, critical)),
  ];
}

/** As it stands in the log. */
export const readyWords = (what: string): string => `Ready: ${what}`;

/** Nothing goes on the fire before what it will stop for stands ready. */
export function miseLock(run: RunState): Lock[] {
  const first = run.steps[0];
  if (run.current !== 0 || first?.status !== "waiting") return [];
  const missing = miseOf(run).filter(item => item.critical && !item.ticked);
  return missing.length
    ? [
        {
          what: "Mise en place",
          why: `Not ticked yet: ${missing.map(item => item.what).join(", ")}. Without it this comes to a stop in the middle.`,
          before: "begin",
        },
      ]
    : [];
}

const RAW: readonly (Ingredient["solidKind"] | undefined)[] = [
  "poultry-bones",
  "poultry-whole",
  "veal-bones",
  "beef-bones",
  "pork-bones",
  "fish-frames",
  "shells",
  "meat",
  "skin",
  "bivalves",
];
const EATEN_AS_IT_IS: ReadonlySet<string> = new Set([
  "season",
  "mount",
  "liaison",
  "whip",
  "portion",
  "emulsify",
]);

const rawIn = ({ sources, lines }: StateAfterStep): string[] =>
  lines
    .filter(line => line.massG > 0 && RAW.includes(sources.get(line.lineId)?.solidKind))
    .map(line => line.name);

/**
 * What must be so before a step can begin, from what it and the one before handle: clean hands after something raw, a pan
 * that is ready before protein goes in. Ticked like any other; when it was ticked is in the log.
 */
export function gatesOf(run: RunState, index: number): string[] {
  const here = run.steps[index];
  if (!here || here.status !== "waiting") return [];
  const before = run.steps[index - 1];
  const gates: string[] = [];
  const raw = before ? rawIn(before.planned) : [];
  const clean = here.planned.lines.some(line => here.planned.sources.get(line.lineId)?.solidKind === "herbs");
  if (raw.length && (clean || EATEN_AS_IT_IS.has(here.step.kind)))
    gates.push(`Hands, board and knife washed after the raw ${raw[0] ?? ""}`);
  const protein = rawIn(here.planned);
  if (here.step.kind === "brown" && protein.length)
    gates.push(`Pan ready for ${protein[0] ?? ""}: it hisses at once, the fat shimmers`);
  return gates.filter(what => !here.ticked.includes(what));
}

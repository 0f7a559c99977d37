import {
  type PotState,
  type SolidPart,
  exitMass,
  holdBack,
  massOfPools,
  potMass,
  sieve,
  strain,
} from "../../things/pot";
import { minutes } from "../../ground/quantity";
import { ok } from "../../ground/result";
import { defineStep, outcome, takenOut } from "./kind";
import { ANYTHING_DEEP, number, time, vessel } from "./field";
import { workingVessel } from "./shared";

const fields = {
  /** Per cent of the mass. */
  yieldPct: number("Goes through", "%", 10, 100),
  durationMin: time(),
  vesselId: vessel("Into", ANYTHING_DEEP),
};

/** Passes a purée through a sieve; skins, seeds and coarse fibre stay. */
export const pass = defineStep({
  kind: "pass",
  label: "Pass through a sieve",
  fields,
  blank: id => ({ id, kind: "pass" as const, lines: [], yieldPct: 96, durationMin: 8 }),
  title: () => "Pass through the sieve",
  detail: step => `${step.yieldPct} % goes through; scrape the underside`,
  cue: "nothing but dry skin and seeds left on top",
  why: "A tongue finds a grain of a tenth of a millimetre.",
  cautions: () => [],
  place: "bench",
  attention: "watch",
  takesLines: false,
  endsAtMark: false,
  finishes: true,
  takesOut: true,
  ticks: () => [{ what: "Underside of the sieve scraped off, no grain in the clean pan", before: "end" }],
  apply: context => {
    const { step, facts } = context;
    const { straining, bones } = staysInSieve(context.pot);
    // Bones never go through, and aromatics in a thin liquor stay behind: only what is soft and thick is passed with its liquor.
    const strained = straining.length
      ? {
          ...strain({ ...context.pot, solids: straining }, kind => holdBack(kind, facts), facts.fatCling),
          solids: context.pot.solids.filter(part => !straining.includes(part)),
        }
      : context.pot;
    const purees = strained.solids.length > 0 || massOfPools(strained.natures.pureeDry) > 0;
    const passed = purees ? sieve(strained, step.yieldPct / 100, facts.fibreEnriched) : ok(strained);
    if (!passed.ok) return passed;
    const vessel = workingVessel(context, passed.value, step.vesselId, ["pan", "pot", "container"]);
    if (!vessel.ok) return vessel;
    return ok(
      outcome(passed.value, vessel.value, minutes(step.durationMin * facts.handTimes), {
        computed: takenOut(
          "stays on the sieve",
          exitMass(passed.value, "reject") -
            exitMass(context.pot, "reject") +
            exitMass(passed.value, "strained") -
            exitMass(context.pot, "strained"),
        ),
        warnings: [
          ...passed.warnings,
          ...(bones
            ? [
                {
                  code: "BONES_IN",
                  message: `${bones} stay on the sieve: strain them off first, a fine sieve tears on bone.`,
                },
              ]
            : []),
        ],
      }),
    );
  },
});

/** Soft, and this much of the pot: it is worked through the sieve as a purée. Our estimate. */
const THICK = 0.4;
const SOFT: ReadonlySet<string> = new Set(["mirepoix", "mushrooms"]);

/** What a sieve keeps whole. */
function staysInSieve(pot: PotState): { readonly straining: SolidPart[]; readonly bones: string } {
  const soft = pot.solids.filter(part => SOFT.has(part.kind));
  const softG = soft.reduce((m, part) => m + massOfPools(part.pools), 0);
  const thick = softG > THICK * potMass(pot);
  const straining = pot.solids.filter(part => !(thick && SOFT.has(part.kind)));
  const bones = straining.filter(part => /bones|frames|shells|poultry|bivalves/.test(part.kind));
  return { straining, bones: bones.map(part => part.name).join(", ") };
}

import { exitMass, sieve } from "../../things/pot";
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
  cautions: () => [],
  place: "bench",
  attention: "watch",
  takesLines: false,
  endsAtMark: false,
  finishes: true,
  takesOut: true,
  heard: {
    as: [/\b(pass|sieve|through a (?:fine )?sieve)\b/],
    next: ["pass", "sieve"],
  },
  ticks: () => [{ what: "Underside of the sieve scraped off, no grain in the clean pan", before: "end" }],
  apply: context => {
    const { step, facts } = context;
    const passed = sieve(context.pot, step.yieldPct / 100, facts.fibreEnriched);
    if (!passed.ok) return passed;
    const vessel = workingVessel(context, passed.value, step.vesselId, ["pan", "pot", "container"]);
    if (!vessel.ok) return vessel;
    return ok(
      outcome(passed.value, vessel.value, minutes(step.durationMin * facts.handTimes), {
        computed: takenOut(
          "stays on the sieve",
          exitMass(passed.value, "reject") - exitMass(context.pot, "reject"),
        ),
        warnings: passed.warnings,
      }),
    );
  },
});

import { existsSync } from "node:fs";
import { describe, expect, test } from "vitest";
import { STEP_KINDS } from "~/core/formula";
import { SUMS } from "~/core/sums";

/** Where a cook reaches a capability: a screen or a part of one, a quick sum, a step of a line. */
interface Reached {
  readonly screens?: readonly string[];
  readonly sums?: readonly string[];
  readonly steps?: readonly string[];
}

/** What is known at the stove, by the ids of the plan: mise en place, stocks, reductions, binding, emulsions, purées, seasoning. */
// prettier-ignore
const REACHED: Readonly<Record<string, Reached>> = {
  C20: { screens: ["bench/new/other-main", "bench/panels/binding-panel"], sums: ["swap-thickener"] },
  C26: { screens: ["stove/log-panel"] },
  C27: { screens: ["stove/log-panel", "bench/weighed"] },
  C28: { steps: ["roast"], sums: ["split-trim"], screens: ["bench/panels/shared-out"] },
  C29: { steps: ["blend"], screens: ["stove/step-side"] },
  C30: { sums: ["blanch-ice"], screens: ["bench/panels/colour-hold"] },
  C31: { sums: ["drained-yet"], steps: ["drain"] },
  C32: { sums: ["rehydrate"], steps: ["soak"] },
  C38: { steps: ["roast"], sums: ["roast-weighed"], screens: ["stove/step-side"] },
  C39: { steps: ["cover"], sums: ["vessel-level"] },
  C40: { steps: ["cover", "deglaze"] },
  C44: { steps: ["blanch", "skim"], screens: ["bench/new/from-family"] },
  C45: { sums: ["evaporated"], steps: ["top-up", "simmer"] },
  C48: { sums: ["extract"] },
  C50: { steps: ["simmer", "lift"], sums: ["plateau"] },
  C53: { steps: ["degrease", "skim"] },
  C54: { sums: ["fat-cap"] },
  C57: { steps: ["render"] },
  C58: { steps: ["reduce"], sums: ["reduce", "scale-stop"] },
  C59: { sums: ["dip-mark"], screens: ["book/card-parts", "stove/pot-live"] },
  C60: { sums: ["scale-stop"], screens: ["stove/log-panel", "book/card-parts"] },
  C62: { sums: ["pan-change"] },
  C65: { sums: ["salt-after"], screens: ["bench/panels/salt-panel"] },
  C66: { screens: ["stove/locks"], steps: ["season"] },
  C67: { sums: ["cream-fat"] },
  C68: { sums: ["match-body"] },
  C71: { sums: ["gastrique"] },
  C72: { sums: ["gastrique"], steps: ["reduce"] },
  C73: { steps: ["reduce", "lift", "put-back"] },
  C74: { steps: ["reduce"], screens: ["bench/step-row"] },
  C75: { sums: ["fix"], screens: ["bench/panels/fix-panel", "stove/mend-sheet"] },
  C76: { sums: ["fix"], screens: ["stove/mend-sheet"] },
  C77: { steps: ["rest", "put-back", "add"], sums: ["fix"] },
  C78: { screens: ["bench/panels/binding-panel"] },
  C79: { sums: ["thicken"], steps: ["thicken"], screens: ["bench/panels/binding-panel"] },
  C80: { steps: ["thicken", "render"], screens: ["bench/panels/binding-panel"] },
  C81: { sums: ["kneaded-butter"] },
  C82: { sums: ["thicken"] },
  C83: { sums: ["swap-thickener"] },
  C84: { sums: ["thickness-of"], steps: ["thicken"] },
  C85: { sums: ["liaison"], steps: ["liaison"] },
  C86: { sums: ["mount"], steps: ["mount"] },
  C87: { sums: ["soup-butter"], steps: ["mount"] },
  C88: { steps: ["thicken"] },
  C89: { steps: ["thicken"] },
  C90: { steps: ["add"] },
  C91: { steps: ["hold"] },
  C92: { sums: ["emulsion-for", "emulsion"], screens: ["bench/panels/emulsion-builder"] },
  C93: { screens: ["bench/panels/emulsion-panel"], sums: ["emulsion"] },
  C94: { sums: ["oil-schedule"], screens: ["stove/oil-pace", "bench/panels/oil-stages"] },
  C95: { sums: ["rescue-emulsion"], screens: ["bench/panels/emulsion-rescue"] },
  C96: { screens: ["bench/panels/taste-panel"] },
  C97: { steps: ["emulsify", "add"] },
  C98: { screens: ["bench/panels/oil-blend"] },
  C99: { screens: ["bench/new/from-family"], steps: ["emulsify", "hold"] },
  C100: { screens: ["bench/panels/cold-set"], steps: ["emulsify", "cool"] },
  C101: { sums: ["cold-cubes"] },
  C103: { sums: ["puree-yield"], screens: ["bench/panels/puree-panel"] },
  C104: { sums: ["soft-yet"] },
  C105: { sums: ["blender-loads"], screens: ["bench/panels/puree-sits"] },
  C106: { sums: ["blade-stalls"] },
  C107: { sums: ["sieve-or-not"], steps: ["pass"] },
  C108: { sums: ["dry-to"], steps: ["dry"] },
  C109: { screens: ["bench/panels/puree-panel"] },
  C110: { screens: ["stove/locks", "bench/panels/puree-panel"], steps: ["blend"] },
  C111: { screens: ["bench/panels/colour-hold"] },
  C112: { screens: ["bench/panels/shared-out"] },
  C113: { sums: ["set-custard"], steps: ["set"] },
  C114: { sums: ["puree-meringue"] },
  C115: { sums: ["finish-order"] },
  C116: { sums: ["fix", "thin"], screens: ["bench/panels/fix-panel"] },
  C120: { screens: ["bench/panels/spice-doses", "book/card-parts"], sums: ["scale"] },
  C126: { screens: ["bench/panels/scale-panel", "bench/panels/spice-doses", "book/card-parts"], sums: ["scale"] },
  C131: { sums: ["thickness-from-test"], screens: ["bench/pot-panel"] },
  C132: { sums: ["coats-alone"] },
  C136: { sums: ["carry-over"] },
  C140: { sums: ["cooling-check", "cool-time"], steps: ["cool"] },
  C158c: { screens: ["bench/panels/salt-panel"], sums: ["salt-to"] },
  C158i: { screens: ["stove/timers"] },
  C178: { screens: ["stove/timers"] },
  C158e: { steps: ["strain"] },
  C158h: { screens: ["bench/deglaze-chooser"], steps: ["deglaze"] },
  C173: { screens: ["bench/panels/scale-panel"], sums: ["reduce"] },
  C174: { screens: ["bench/panels/scale-panel"], sums: ["scale", "blender-loads"] },
  C175: { screens: ["bench/panels/scale-panel"], sums: ["scale"] },
};

describe.each(Object.entries(REACHED))("%s is reached", (_id, { screens = [], sums = [], steps = [] }) => {
  test("from a screen, a sum or a step that is there", () => {
    expect(screens.length + sums.length + steps.length).toBeGreaterThan(0);
    for (const screen of screens) expect(existsSync(`app/${screen}.tsx`), screen).toBe(true);
    for (const name of sums)
      expect(
        SUMS.some(sum => sum.name === name),
        name,
      ).toBe(true);
    for (const kind of steps) expect(Object.keys(STEP_KINDS), kind).toContain(kind);
  });
});

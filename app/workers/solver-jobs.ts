import { FAMILIES, changeSchool } from "~/core/families";
import {
  type FormulaDocument,
  type KitchenData,
  type ScalePolicy,
  type ScaleTo,
  compareOutcomes,
  openKitchen,
  scaleFormula,
  walk,
  workBackwards,
} from "~/core/formula";

/** What another school would make of the formula: the figures that move. */
export interface SchoolOutcome {
  readonly choice: string;
  readonly school: string;
  readonly moved: readonly {
    readonly what: string;
    readonly unit: string;
    readonly decimals: number;
    readonly by: number;
  }[];
}

const SHOWN: ReadonlySet<string> = new Set(["yield", "food cost", "time", "salt", "fat"]);
const LEAST = 0.004;

export const solverJobs = {
  backwards: (document: FormulaDocument, kitchen: KitchenData, burnerId: string) =>
    workBackwards(document, openKitchen(kitchen, {}, burnerId)),
  scale: (
    document: FormulaDocument,
    kitchen: KitchenData,
    burnerId: string,
    to: ScaleTo,
    policy: ScalePolicy,
  ) => scaleFormula(document, openKitchen(kitchen, {}, burnerId), to, policy),
  schools: (document: FormulaDocument, kitchen: KitchenData, burnerId: string): SchoolOutcome[] => {
    const family = FAMILIES.find(f => f.id === document.family);
    if (!family) return [];
    const opened = openKitchen(kitchen, {}, burnerId);
    const template = { boilsC: opened.boilsC, demiGlace: kitchen.house.demiGlace };
    const now = { document, walked: walk(document, opened) };
    return family.choices.flatMap(choice =>
      choice.schools
        .filter(school => school.id !== document.choices[choice.id])
        .flatMap((school): SchoolOutcome[] => {
          const changed = changeSchool(document, family, choice.id, school.id, template);
          if (!changed.ok) return [];
          const other = { document: changed.value.document, walked: walk(changed.value.document, opened) };
          if (other.walked.problems.length) return [];
          const moved = compareOutcomes([now, other]).flatMap(row => {
            const [a, b] = row.values;
            if (!SHOWN.has(row.what) || (row.what === "yield" && row.unit === "kg")) return [];
            const by = (b ?? 0) - (a ?? 0);
            return Math.abs(by) > LEAST * Math.max(Math.abs(a ?? 0), Math.abs(b ?? 0))
              ? [{ what: row.what, unit: row.unit, decimals: row.decimals, by }]
              : [];
          });
          return [{ choice: choice.id, school: school.id, moved }];
        }),
    );
  },
};

export type SolverJobs = typeof solverJobs;

import {
  DOCUMENT_SCHEMA,
  type FormulaDocument,
  type FormulaTarget,
  type Group,
  type ServedAs,
  type Step,
} from "../formula";

/** One way of several that good cooks go, with its reason. */
export interface School {
  readonly id: string;
  readonly label: string;
  /** Why somebody does it so; shown where the choice is made. */
  readonly why: string;
}

/** A point on which good cooks differ. */
export interface Choice {
  readonly id: string;
  readonly label: string;
  /** Id of the house default. */
  readonly usual: string;
  readonly schools: readonly School[];
}

/** What a template may know of the kitchen it is written for. */
export interface TemplateKitchen {
  /** Where water boils here, °C: simmering is meant below it. */
  readonly boilsC: number;
  /** What this house calls demi-glace: share of the brown stock that is left, and whether it is bound. */
  readonly demiGlace: { readonly to: number; readonly bound: boolean };
}

export const SEA_LEVEL_KITCHEN: TemplateKitchen = { boilsC: 100, demiGlace: { to: 0.5, bound: false } };

/** What a family makes of the schools taken. */
export interface Draft {
  readonly school: string;
  readonly base: FormulaDocument["base"];
  readonly groups?: readonly Group[];
  readonly steps: readonly (Step | false)[];
  readonly targets?: readonly FormulaTarget[];
  readonly notes?: string;
  readonly storage?: Partial<FormulaDocument["storage"]>;
}

export type FamilyGroup = "stocks" | "sauces" | "emulsions" | "purées and soups" | "components";

/** A way of making things: its template, the points where cooks differ, and how it is kept. */
export interface Family {
  readonly id: string;
  readonly name: string;
  readonly group: FamilyGroup;
  /** The method in one sentence. */
  readonly method: string;
  readonly servedAs: ServedAs;
  readonly portionG: number;
  readonly overagePct: number;
  readonly storage: FormulaDocument["storage"];
  readonly choices: readonly Choice[];
  /** Longest sensible simmer, minutes: more asks for confirmation. */
  readonly simmerAtMostMin?: number;
  readonly draft: (taken: Readonly<Record<string, string>>, kitchen: TemplateKitchen) => Draft;
}

export const defineFamily = (family: Family): Family => family;

/** A choice of schools, the first of which is the house default unless another is named. */
export function choice(
  id: string,
  label: string,
  schools: Readonly<Record<string, readonly [label: string, why: string]>>,
  usual = Object.keys(schools)[0] ?? "",
): Choice {
  return {
    id,
    label,
    usual,
    schools: Object.entries(schools).map(([schoolId, [schoolLabel, why]]) => ({
      id: schoolId,
      label: schoolLabel,
      why,
    })),
  };
}

/** The schools in force: those taken, the usual one where none is or where it is not known. */
export const schoolsOf = (family: Family, taken: Readonly<Record<string, string>>): Record<string, string> =>
  Object.fromEntries(
    family.choices.map(c => {
      const wanted = taken[c.id];
      return [c.id, wanted && c.schools.some(s => s.id === wanted) ? wanted : c.usual];
    }),
  );

/**
 * A new formula of a family.
 *
 * Ids of steps and lines follow from the template, so that two templates of one family can be merged line by line.
 */
export function formulaOf(
  family: Family,
  taken: Readonly<Record<string, string>> = {},
  kitchen: TemplateKitchen = SEA_LEVEL_KITCHEN,
  name = family.name,
): FormulaDocument {
  const choices = schoolsOf(family, taken);
  const draft = family.draft(choices, kitchen);
  return {
    schema: DOCUMENT_SCHEMA,
    name,
    family: family.id,
    school: draft.school,
    choices,
    base: draft.base,
    groups: [...(draft.groups ?? [])],
    portionG: family.portionG,
    overagePct: family.overagePct,
    servedAs: family.servedAs,
    targets: [...(draft.targets ?? [])],
    steps: draft.steps.filter((step): step is Step => step !== false),
    storage: { ...family.storage, ...draft.storage },
    notes: draft.notes ?? "",
  };
}

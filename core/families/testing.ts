import { DEMO_FORMULAS } from "../../demo/formulas";
import { DEMO_KITCHEN } from "../../demo/kitchen";
import { type FormulaDocument, openKitchen } from "../formula";
import { FAMILIES, formulaOf } from ".";

const template = { boilsC: openKitchen(DEMO_KITCHEN).boilsC, demiGlace: { to: 0.5, bound: false } };

/** Every formula of the demo and a usual one of every family, with its name: what is true of any must be true of all. */
export const EVERY_FORMULA: readonly (readonly [string, FormulaDocument])[] = [
  ...Object.values(DEMO_FORMULAS).map(document => [document.name, document] as const),
  ...FAMILIES.map(family => [`${family.id}, a usual one`, formulaOf(family, {}, template)] as const),
];

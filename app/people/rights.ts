/** What people may do, by their role in the kitchen. */

/** Who answers for the recipes of a house: their signature makes a version the standard, or retires it. */
const ANSWERS_FOR_RECIPES = /\bchef\b/i;

export const maySign = ({ role }: { readonly role: string }): boolean => ANSWERS_FOR_RECIPES.test(role);

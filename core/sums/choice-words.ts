import { PROFILES, PROFILE_IDS } from "../laws/cooling";
import { PRESETS, PRESET_IDS } from "../laws/lethality";
import { KITCHEN_TESTS, TEST_IDS } from "../laws/texture";
import { type BINDING_FORMS, THICKENERS, THICKENER_IDS } from "../laws/thickening";

/** What a cook calls the choices whose ids are no words. */

const wordsOf = <K extends string>(ids: readonly K[], of: (id: K) => string) =>
  Object.fromEntries(ids.map(id => [id, of(id)])) as Record<K, string>;

export const THICKENER_WORDS = wordsOf(THICKENER_IDS, id => THICKENERS[id].name);
export const TEST_WORDS = wordsOf(TEST_IDS, id => KITCHEN_TESTS[id].label);
export const PRESET_WORDS = wordsOf(PRESET_IDS, id => PRESETS[id].name);
export const PROFILE_WORDS = wordsOf(PROFILE_IDS, id => PROFILES[id].name);

export const FORM_WORDS: Readonly<Record<(typeof BINDING_FORMS)[number], string>> = {
  roux: "roux of butter",
  "clarified-roux": "roux of clarified butter",
  "beurre-manie": "beurre manié",
  slurry: "slurry",
  dust: "dusted",
};

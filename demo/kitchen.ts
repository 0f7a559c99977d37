import type { KitchenData } from "../core/formula";
import { type Ingredient, REFERENCE_LARDER } from "../core/things/larder";
import type { Person } from "../data";
import { DEMO_FORMULAS } from "./formulas";
import { ALTITUDE_M } from "./sauces";
import { CURRENCY, DEMO_PACKS, DEMO_PRICES, PRICED_ON } from "./prices";
import { DEMO_APPLIANCES } from "./appliances";
import { DEMO_BURNERS, DEMO_VESSELS } from "./vessels";

export const KITCHEN_ID = "kelder-pass";

const priced = (ingredient: Ingredient): Ingredient => {
  const perKg = DEMO_PRICES[ingredient.id];
  const pack = DEMO_PACKS[ingredient.id];
  if (perKg === undefined) return ingredient;
  return {
    ...ingredient,
    ...(pack && { pack: { name: pack[0], massG: pack[1] } }),
    price: { perKg, currency: CURRENCY, on: PRICED_ON, source: { mark: "E", text: "demo price, invented" } },
  };
};

/** Kelder Pass Station: the restaurant of a mountain railway station. Invented. */
export const DEMO_KITCHEN: KitchenData = {
  id: KITCHEN_ID,
  name: "Kelder Pass Station",
  altitudeM: ALTITUDE_M,
  pressurePa: null,
  ambientC: 25,
  humidity: 0.5,
  timeZone: "Europe/Zurich",
  ingredients: REFERENCE_LARDER.map(priced),
  vessels: DEMO_VESSELS,
  burners: DEMO_BURNERS,
  appliances: DEMO_APPLIANCES,
  defaultBurnerId: "plate-hot",
  facts: {},
  house: { demiGlace: { to: 0.5, bound: false }, labourPerH: 26, flamePerH: 2.4 },
  formulas: DEMO_FORMULAS,
};

/** The brigade. Invented. */
export const DEMO_PEOPLE: readonly Person[] = [
  { id: "ilse", login: "ilse", name: "Ilse Varga", role: "chef de cuisine", rank: "chef" },
  { id: "tomas", login: "tomas", name: "Tomas Reyhl", role: "saucier", rank: "cook" },
  { id: "noor", login: "noor", name: "Noor Adeyi", role: "cook", rank: "cook" },
  { id: "petr", login: "petr", name: "Petr Lind", role: "commis", rank: "trainee" },
  { id: "sana", login: "sana", name: "Sana Okoye", role: "service", rank: "viewer" },
];

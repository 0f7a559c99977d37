import { REFERENCE_LARDER } from "../../things/larder";
import { USUAL_HOUSE } from "../../things/house";
import { type Vessel, vesselSchema } from "../../things/vessel";
import type { KitchenData } from "./kitchen";

const usual = (id: string, name: string, use: Vessel["use"], diameterMm: number, heightMm: number): Vessel =>
  vesselSchema.parse({
    id,
    name,
    use,
    shape: { shape: "cylinder", diameterMm, heightMm },
    tareG: 10 * diameterMm,
    metal: "steel",
    handles: use === "pan" ? "long" : "two",
  });

/** Where no kit is at hand: a few straight pots and pans, so that steam and level can be worked out at all. Our estimate. */
const USUAL_KIT: readonly Vessel[] = [
  usual("pan-160", "pan of 16 cm", "pan", 160, 90),
  usual("pan-200", "pan of 20 cm", "pan", 200, 65),
  usual("pan-240", "pan of 24 cm", "pan", 240, 130),
  usual("pot-320", "pot of 32 cm", "pot", 320, 200),
  usual("pot-400", "pot of 40 cm", "pot", 400, 380),
  usual("pot-500", "pot of 50 cm", "pot", 500, 460),
  usual("pot-600", "kettle of 60 cm", "pot", 600, 550),
  usual("bowl-280", "bowl of 28 cm", "container", 280, 140),
  usual("tub-360", "tub of 36 cm", "container", 360, 400),
  usual("tub-600", "tub of 60 cm", "container", 600, 550),
  usual("tray", "roasting tray", "tray", 500, 65),
];

const USUAL_BURNER = {
  id: "usual",
  name: "gas, professional",
  kind: "gas-pro",
  xMm: 0,
  yMm: 0,
  widthMm: 400,
  depthMm: 400,
} as const;

/** A kitchen nobody has entered: the reference larder, usual pots, a gas flame, at sea level unless said. */
export const usualKitchen = (own: Partial<KitchenData> = {}): KitchenData => ({
  id: "usual",
  name: "a usual kitchen",
  altitudeM: 0,
  pressurePa: null,
  ambientC: 21,
  humidity: 0.5,
  timeZone: "UTC",
  ingredients: REFERENCE_LARDER,
  vessels: USUAL_KIT,
  burners: [USUAL_BURNER],
  appliances: [],
  defaultBurnerId: USUAL_BURNER.id,
  facts: {},
  house: USUAL_HOUSE,
  formulas: {},
  ...own,
});

export {
  BROWNS,
  ROUX_COLOURS,
  ROUX_SPREAD,
  type RouxColour,
  THICKENERS,
  THICKENER_IDS,
  type Thickener,
  type ThickenerId,
  powerOf,
  rouxPower,
} from "./thickeners";
export { type StarchDose, type StarchPower, networkFactor, starchPower } from "./starch-power";
export {
  BINDING_FORMS,
  type BindingForm,
  type Carrier,
  SLURRY_WATER,
  WHOLE_BUTTER,
  butterFor,
  carrierOf,
  fatPerThickener,
} from "./forms";
export { type Swap, swapThickener } from "./swap";
export {
  AGAR_SETS_G_PER_L,
  CHEESE_MOST_C,
  SAUCE_BUTTER_G_PER_L,
  SOUP_BUTTER_G_PER_L,
  beurreManieDose,
  cheeseWarnings,
  holdWarnings,
  LEAF_G,
  agarForSet,
  leafForSet,
  SAUCE_CHUNKY_SHARE,
  soupButter,
} from "./rules";

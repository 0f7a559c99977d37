/** Drying, browning and rendering in oven, pan and fat. */
export { type DryingClass, dryingClassOf } from "./drying-class";
export { type Drying, dry, surfaceM2 } from "./drying";
export { type WeighedLoss, dryingTimeWeighed } from "./weighed";
export { type Heating, type OvenUse, crowding, inFat, inOven, inPan } from "./heating";

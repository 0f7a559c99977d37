export { type VesselShape, checkShape, shapeSchema } from "./shape";
export { type Geometry, geometryOf, profileMm } from "./geometry";
export {
  CLOSED,
  LININGS,
  METALS,
  type Vessel,
  geometryOfVessel,
  limitsOf,
  vesselHeatCapacity,
  vesselSchema,
} from "./vessel";
export { type DipMark, dipMark, grossTarget, netOfGross, volumeOfLevel } from "./marks";
export {
  type Cover,
  type Foaming,
  type Heap,
  bulkMl,
  BOWL_FILL,
  bowlBatches,
  bySize,
  coverFromMeasure,
  coverWith,
  displacedMl,
  neededHeadspace,
  smallestForCover,
  smallestForLiquid,
} from "./fit";

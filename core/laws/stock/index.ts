export { BONE_CLASSES, type BoneClass, KIND_OF, SIMMER_WINDOWS, classOfKind, yieldingOf } from "./bone-class";
export {
  type Extract,
  type Giving,
  LEAST_EXTRACTION_C,
  type TemperaturePoint,
  extraction,
  extractionAlong,
  simmerWarnings,
} from "./extraction";
export { heatUpSolids, releaseJuice, simmerSolids } from "./simmer-solids";
export {
  SET_BANDS,
  SET_WORDS,
  type SetBand,
  blendedBloom,
  effectiveGelatinPct,
  setBand,
  setInWords,
  setsFrom,
} from "./set";
export { type StockInput, type StockYield, stockYield } from "./stock-yield";
export { type Plateau, plateau } from "./plateau";

export {
  EMULSION_KINDS,
  EMULSION_TOOLS,
  type BufferId,
  type EmulsionKind,
  type EmulsionTool,
  PHASES,
  PHASE_IDS,
  type PhaseId,
  type PhasePart,
  WINDOWS,
  holdsOf,
  kindOfEmulsion,
  massOf,
  withPart,
} from "./parts";
export {
  type Emulsion,
  type EmulsionInput,
  type OilKind,
  acidOf,
  bareEmulsion,
  capacityOf,
  emulsionOf,
  oilAt,
  waterFor,
} from "./emulsion";
export {
  ACIDS,
  type AcidityInput,
  BUFFERS,
  RAW_EGG_PH,
  SODA_G_PER_MOL,
  acidity,
  acidityEstimate,
  acidityOfParts,
  gramsOfAcid,
  rawEggCaution,
  withTheirSalts,
} from "./acidity";
export { type OilDose, type OilSchedule, type OilStage, oilSchedule, oilStages } from "./schedule";
export { type BreakRisk, EASY_FAT_VOLUME, type RiskId, type RiskInput, breakRisk } from "./risk";
export { type Rescue, loosenEmulsion, rescueBroken, thickenEmulsion } from "./rescue";
export { TEMPORARY_UM, separatesAfterS } from "./separation";
export { type StandardCheck, checkStandards } from "./standards";
export {
  BUILD_KINDS,
  BUILD_WORDS,
  type BuildKind,
  type Built,
  OIL_PER_BUTTER_SOLIDS,
  buildEmulsion,
} from "./build";
export { BITTER_FROM_PCT, flavouredPct, oilBlend } from "./oil-blend";

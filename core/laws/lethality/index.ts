export {
  type LethalRate,
  type Lethality,
  type ProbeReading,
  lethality,
  probeErrorProblem,
  readingsProblem,
  segmentMinutes,
} from "./lethality";
export { PRESETS, PRESET_IDS, type Preset, type PresetId, yolkPreset } from "./presets";

export { boilDown } from "./rayleigh";
export { RETENTION_METHODS, type RetentionMethod, retainedShare } from "./retention";
export { flameWarnings, keptInWords, labelEthanol } from "./label";

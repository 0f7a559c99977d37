export { extraction, releaseJuice, simmerSolids } from "./extraction";

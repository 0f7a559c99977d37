export { action } from "./device-readings.server";

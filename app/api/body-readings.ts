export { action } from "./body-readings.server";

export { action } from "./run-events.server";

export { loader } from "./first-day.server";

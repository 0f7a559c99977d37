export { loader } from "./devices.server";

export { action, loader } from "./sum.server";

export { action, loader } from "./words.server";

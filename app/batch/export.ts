export { loader } from "./export.server";

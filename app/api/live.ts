export { loader } from "./live.server";

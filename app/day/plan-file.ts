export { loader } from "./plan-file.server";

export { loader } from "./formula-files.server";

export { loader } from "./formula-file.server";

export { loader } from "./snapshot-file.server";

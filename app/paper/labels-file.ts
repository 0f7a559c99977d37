export { loader } from "./labels-file.server";

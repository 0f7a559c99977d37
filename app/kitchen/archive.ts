export { loader } from "./archive.server";

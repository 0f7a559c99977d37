export { loader } from "./card-file.server";

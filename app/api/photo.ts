export { loader } from "./photo.server";

export { action, loader } from "./photos.server";

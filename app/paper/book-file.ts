export { loader } from "./book-file.server";

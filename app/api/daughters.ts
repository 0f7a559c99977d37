export { loader } from "./daughters.server";

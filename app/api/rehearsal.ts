export { loader } from "./rehearsal.server";

export { loader } from "./sums.server";

export { loader } from "./to-card.server";

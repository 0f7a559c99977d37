export { type Card, type CardLine, type CardMark, type CardStep, cardOf } from "./card";

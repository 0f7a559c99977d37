export { type Card, type CardLine, type CardMark, type CardStep, cardOf } from "./card";
export { type AttributeReady, type Readiness, attributesOf, readiness, scoreOf } from "./readiness";

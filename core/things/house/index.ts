export { type House, USUAL_HOUSE, houseSchema, letDown } from "./house";
export { type Display, USUAL_DISPLAY, displaySchema, massFor, textFor, printOunces } from "./display";

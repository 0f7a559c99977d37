export { type House, USUAL_HOUSE, USUAL_HOURS, houseSchema, letDown } from "./house";
export { type Display, USUAL_DISPLAY, displaySchema, massFor, textFor, printOunces } from "./display";

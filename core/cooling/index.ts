export { COOLING_METHODS, type CoolingMethod, coolingTime, drainOf } from "./cooling";

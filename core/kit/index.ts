export {
  APPLIANCE_FIELDS,
  LONGEST_TOOL_NAME,
  APPLIANCE_KINDS,
  type Appliance,
  type ApplianceKind,
  type Probe,
  applianceSchema,
} from "./appliance";
export {
  LEAST_INSERTION_MM,
  checkAge,
  corrected,
  holdsGrams,
  hotFill,
  iceCheck,
  liningCaution,
  scaleFor,
  shapeByPouring,
  waysToRead,
} from "./kit";
export { HOB_STEP_MM, placeBurner, roomOn } from "./hob";
export { DEVICE_KINDS, DEVICE_UNITS, type DeviceKind, readDeviceReading } from "./device-reading";

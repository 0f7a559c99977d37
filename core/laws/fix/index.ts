export { COMPLAINTS, COMPLAINT_WORDS, type Complaint } from "./complaint";
export { remediesFor } from "./remedies";
export { type After, type FixInput, type FixTarget, type Remedy, acidPctOf, afterOf } from "./remedy";

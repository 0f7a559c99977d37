export {
  type After,
  COMPLAINTS,
  COMPLAINT_WORDS,
  type Complaint,
  type FixInput,
  type FixTarget,
  type Remedy,
  acidPctOf,
  afterOf,
  remediesFor,
} from "./remedies";

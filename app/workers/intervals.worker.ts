import { expose } from "comlink";
import { intervalJobs } from "./interval-jobs";

expose(intervalJobs());

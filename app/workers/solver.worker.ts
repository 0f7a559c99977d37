import { expose } from "comlink";
import { solverJobs } from "./solver-jobs";

expose(solverJobs);

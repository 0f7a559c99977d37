import { fc } from "@fast-check/vitest";

/** Property tests draw the same examples every time; HONDARO_SEED=… draws others, to look for new trouble. */
const USUAL_SEED = 20261123;

fc.configureGlobal({ seed: Number(process.env.HONDARO_SEED ?? USUAL_SEED) });

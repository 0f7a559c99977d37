import type { z } from "zod";

/**
 * What a cook calls the figures of an answer, and their units. One word for one thing in every sum; what a sum means by it
 * in particular is in its sentence.
 */
// prettier-ignore
export const ANSWERED: Readonly<Record<string, readonly [words: string, unit?: string]>> = {
  abvPct: ["alcohol", "% vol"], acidG: ["acid", "g"], acidLiquidG: ["acid liquid", "g"], acidPct: ["acid", "%"],
  addG: ["to add", "g"], advice: ["advice"], after: ["then"], afterPct: ["after skimming", "%"], alcoholLeftPct: ["alcohol left", "%"], amounts: ["rounded", "g"],
  atMin: ["at", "min"], axes: ["doses over their thresholds"], band: ["in words"], beforePct: ["on top", "%"], batches: ["batches"],
  belowStartMm: ["below the start", "mm"], boilsAfterMin: ["boils after", "min"], boilsC: ["boils at", "°C"],
  bonesG: ["bones", "g"], brimMl: ["to the brim", "ml"], brix: ["reads", "°Bx"], butterG: ["butter", "g"],
  c: ["temperature", "°C"], capacityUsedPct: ["of what the water phase can hold", "%"], caution: ["caution"],
  chosen: ["pot"], code: ["kind"], consequences: ["what changes"], count: ["portions"], creamG: ["cream", "g"],
  crossings: ["limits"], cubes: ["cubes"], curve: ["course"], densityGPerMl: ["density", "g/ml"], dipMm: ["on the stick", "mm"],
  done: ["done"], doneMin: ["done, minutes after midnight", "min"], dose: ["one dose", "g"], doseOverThreshold: ["dose over threshold"],
  fireAt: ["begin at"], pans: ["pans"], perPan: ["in one pan", "g"], totals: ["all together", "g"],
  drainedG: ["drained", "g"], driftPct: ["off by", "%"], dueMin: ["due at", "min"], eachG: ["each", "g"], endC: ["ends at", "°C"],
  endG: ["at the end", "g"], endMl: ["at the end", "ml"], ethanolG: ["pure alcohol", "g"], evaporatedMl: ["went as steam", "ml"], evaporateG: ["to boil off", "g"],
  evaporatedG: ["boiled off", "g"], events: ["what happened"], f: ["temperature", "°F"], factor: ["factor"], fatG: ["fat", "g"],
  fatPct: ["fat", "%"], fatVolumePct: ["fat by volume", "%"], fillMm: ["stands at", "mm"], fillPct: ["full to", "%"],
  flourGPerL: ["flour in a litre", "g"], finalC: ["ends at", "°C"], finishedG: ["made", "g"], firstDoseG: ["first dose", "g"], fits: ["fits"], from: ["from"],
  foreseenPct: ["foreseen", "%"], fromG: ["from", "g"], g: ["weight", "g"], gPerMin: ["pace", "g/min"], gainPerHour: ["gains an hour", "°Bx"],
  garnishG: ["garnish", "g"], gelatinG: ["gelatin", "g"], gelatinPct: ["gelatin", "%"], gels: ["sets cold"], grain: ["grain", "of 3"],
  grainWithout: ["grain unsieved", "of 3"], grams: ["weighs", "g"], grossG: ["as bought", "g"], hard: ["curdles", "°C"],
  hasPct: ["has", "%"], headspaceMm: ["headspace", "mm"], hi: ["to"], hint: ["hint"], iceG: ["ice", "g"], id: ["what"],
  inBatchPct: ["in the batch", "%"], item: ["try"], labelPct: ["for the label", "%"], left: ["left over"], leftG: ["left", "g"],
  leftPct: ["left", "%"], level: ["in words"], levelMm: ["on the stick", "mm"], levelledAtMin: ["level since", "min"],
  limitMin: ["allowed", "min"], lines: ["lines"], liquorMl: ["soaking liquor", "ml"], lo: ["from"], loads: ["loads"],
  logReduction: ["log reduction"], lookAtMin: ["look at", "min"], lossPct: ["lost", "%"], lostG: ["lost", "g"], makeG: ["to make", "g"], onOneG: ["on one plate", "g"],
  markMm: ["mark on the stick", "mm"], massG: ["weight", "g"], meets: ["limits met"], message: ["what"], millilitres: ["volume", "ml"],
  min: ["after", "min"], mlPerHour: ["an hour", "ml"], minutes: ["takes", "min"], minutesAtRef: ["at the reference", "min"], minutesAtRefLow: ["at the reference, at least", "min"],
  minutesPerFold: ["minutes a fold", "min"], mismatch: ["the two differ by", "°C"], mixC: ["mixed", "°C"], mostAtOnceG: ["most at once", "g"],
  times: ["times as fast"], name: ["what"], nowMin: ["the figure now", "min"], nextPace: ["pace to count on next time"], needG: ["needed", "g"], needMl: ["needed", "ml"], netG: ["trimmed", "g"], oilG: ["oil", "g"], order: ["how"],
  originalG: ["was", "g"], oursG: ["ours", "g"], outlook: ["outlook"], pH: ["pH"], pace: ["pace, of what was foreseen"], parts: ["parts"],
  peakMin: ["hottest after", "min"], perLitreEffect: ["a litre then gets"], perLoadMl: ["a load", "ml"], perVessel: ["each pot"],
  pieces: ["pieces"], plainG: ["plainly times", "g"], portions: ["portions"], powderG: ["powder", "g"], pressurePa: ["air pressure", "Pa"],
  projection: ["as it goes now"], rateMlPerMin: ["then loses a minute", "ml"], ratio: ["of what is wanted"], reachesC: ["brings it to", "°C"], reading: ["reads"], readings: ["readings"],
  ready: ["ready"], readyAtMin: ["there at", "min"], reason: ["why"], reasons: ["why"], remedies: ["ways"], renderedG: ["rendered", "g"],
  rinseFromMin: ["rinse from", "min"], rinseToMin: ["rinse by", "min"], risk: ["risk"], riseC: ["rises by", "°C"], roundedG: ["on the scale", "g"],
  rule: ["rule"], saltG: ["salt", "g"], saltLocked: ["salts it"], saltPct: ["salt", "%"], sauceG: ["for the sauce", "g"], score: ["of 100"],
  set: ["sets"], share: ["share"], shortG: ["short of", "g"], solidsG: ["solids", "g"], solidsPct: ["solids", "%"], source: ["source"],
  split: ["split"], stages: ["stages"], standards: ["names it may bear"], startMl: ["before", "ml"], startMm: ["stands at", "mm"],
  startWith: ["start with"], status: ["it is"], steps: ["steps"], stockMl: ["stock", "ml"], stopG: ["stop at", "g"], strainedMl: ["strained", "ml"],
  strength: ["strength"], sugarG: ["sugar", "g"], sugarPct: ["sugar", "%"], surfaceCm2: ["surface", "cm²"], temper: ["tempered"],
  text: ["why"], thickenerG: ["thickener", "g"], thickness: ["body"], to: ["to"], toC: ["to", "°C"], toG: ["to", "g"], tookMin: ["took", "min"],
  totalG: ["in all", "g"], totalMin: ["in all", "min"], tubMl: ["tub", "ml"], uncoveredAfterMin: ["uncovered after", "min"],
  understood: ["understood as"], unsaltedToAddG: ["unsalted to add", "g"], usableMl: ["usable", "ml"], verdict: ["verdict"], vessel: ["pot"],
  viscosityMPas: ["viscosity", "mPa s"], volatileAcidLeftPct: ["vinegar acid left", "%"], volumeMl: ["volume", "ml"], wantsPct: ["wants", "%"],
  waterActivity: ["water activity"], waterBoilsC: ["water boils at", "°C"], waterG: ["water", "g"], waterMl: ["water", "ml"], what: ["what"],
  wouldBeMin: ["the figure by this weighing", "min"], windowC: ["window", "°C"], withMarginG: ["with a margin", "g"], yolkG: ["yolk", "g"], yolks: ["yolks"],
};

/** "ice (g)" for the figure of an answer. */
export function calledInAnswer(name: string): string {
  const [words, unit] = ANSWERED[name] ?? [name];
  return unit ? `${words} (${unit})` : words;
}

/** Names of all figures an answer may have, those of its lists too. */
export function namesInAnswer(output: z.ZodType): string[] {
  const at = output as z.ZodType & {
    shape?: Record<string, z.ZodType>;
    element?: z.ZodType;
    options?: z.ZodType[];
    def: { innerType?: z.ZodType };
  };
  if (at.def.innerType) return namesInAnswer(at.def.innerType);
  if (at.element) return namesInAnswer(at.element);
  if (at.def.type === "union" && Array.isArray(at.options)) return at.options.flatMap(namesInAnswer);
  if (!at.shape || "basis" in at.shape) return [];
  return Object.entries(at.shape).flatMap(([name, inner]) => [name, ...namesInAnswer(inner)]);
}

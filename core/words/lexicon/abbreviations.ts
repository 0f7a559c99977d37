/** Words a hurried hand cuts short, with what they stand for. Common practice, no source. */
const SHORT: Readonly<Record<string, string>> = {
  w: "with", wo: "without", shall: "shallot", mush: "mushroom", red: "red", tom: "tomato", vin: "vinegar", stk: "stock",
  btl: "bottle", btls: "bottle", col: "colour", sq: "squeeze", rasp: "raspberry", approx: "about", ca: "about",
  tbsp: "tablespoon", tbsps: "tablespoon", tbs: "tablespoon", tsp: "teaspoon", tsps: "teaspoon", pers: "persons",
  veg: "vegetables", parm: "parmesan", gastr: "gastrique", dux: "duxelles", hr: "hour", hrs: "hour",
  min: "minute", mins: "minute", pkt: "packet", pt: "pint", qt: "quart", qts: "quart", gal: "gallon",
  lb: "pound", lbs: "pound", oz: "ounce", temp: "temperature", mils: "ml", mil: "ml", gr: "g", gms: "g", kilo: "kg",
  kilos: "kg", chx: "chicken", bchamel: "bechamel", choc: "chocolate", med: "medium", lg: "large", sm: "small",
  decilitre: "dl", decilitres: "dl", abt: "about", corfl: "cornflour", marg: "margarine", crm: "cream", wht: "white",
  brn: "brown", br: "brown", wh: "white", chick: "chicken", mirep: "mirepoix", clarif: "clarified", thru: "through",
  yoke: "yolk", yokes: "yolks", juce: "juice", bal: "balsamic", cov: "covers", ltr: "l", ltrs: "l", lt: "l", pepr: "pepper", parsl: "parsley",
}; // prettier-ignore

export const ABBREVIATIONS: ReadonlyMap<string, string> = new Map(Object.entries(SHORT));

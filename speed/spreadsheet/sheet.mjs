import { HyperFormula } from "hyperformula";

/**
 * A costed, ratio-based formula as a cook with a spreadsheet would lay it out: one row a line, its grams from its share
 * of the base, what it costs as purchased, its twelve parts, the pot after it (running sums), and the figures the Bench
 * shows beside every step. The formulas of the figures are those of docs/models.md.
 *
 * @param model { baseG, potAreaMm2, lines: [{ pct, ediblePct, perKg, parts: number[12] }] }
 */
export function layOut({ baseG, potAreaMm2, lines }) {
  const cells = [["base", baseG]];
  lines.forEach((line, i) => {
    const r = i + 2;
    const row = [];
    const put = value => row.push(value);
    const at = name => `${letter(COLUMNS.indexOf(name))}${r}`;
    const above = name => (i ? `${letter(COLUMNS.indexOf(name))}${r - 1}+` : "");
    put(line.pct);
    put(`=${at("pct")}*$B$1/100`);
    put(`=${at("grams")}*100/${line.ediblePct}`);
    put(`=${at("toBuy")}*${line.perKg}/1000`);
    put(`=${above("spent")}${at("cost")}`);
    PARTS.forEach((part, p) => put(`=${at("grams")}*${line.parts[p]}/100`));
    PARTS.forEach(part => put(`=${above(`all ${part}`)}${at(part)}`));
    const all = part => at(`all ${part}`);
    put(`=${PARTS.map(all).join("+")}`);
    // What comes in is as cold as the shelf; its heat and the pot's mix.
    const before = part => `${letter(COLUMNS.indexOf(`all ${part}`))}${r - 1}`;
    const was = `${letter(COLUMNS.indexOf("temperature"))}${r - 1}`;
    put(
      i
        ? `=((${heat(before, was)})*${was}+(${heat(at, SHELF_C)})*${SHELF_C})/((${heat(before, was)})+(${heat(at, SHELF_C)}))`
        : `=${SHELF_C}`,
    );
    put(`=${volume(all, 20)}`);
    put(`=1000*(${volume(all, at("temperature"))})/${potAreaMm2}`);
    const dissolved = ["sugars", "salt", "proteinOther", "collagen", "acidVolatile", "acidFixed", "other"]
      .map(all)
      .join("+");
    const serum = `(${all("water")}+${all("ethanol")}+${dissolved})`;
    put(
      `=100*(${all("sugars")}+1.27*(${all("proteinOther")}+${all("collagen")})+1.18*${all("salt")}+0.44*${all("ethanol")}+0.49*${all("acidVolatile")}+1.09*${all("acidFixed")}+${all("other")})/${serum}`,
    );
    for (const share of ["fat", "salt", "sugars", "collagen", "starch"])
      put(`=100*${all(share)}/${at("mass")}`);
    put(`=100*(${all("acidVolatile")}+${all("acidFixed")})/${at("mass")}`);
    put(`=IF(${all("ethanol")}>0,100*${all("ethanol")}/0.78924/${at("volume")},0)`);
    put(`=1000*${at("spent")}/${at("mass")}`);
    put(`=1000*${at("grams")}/${letter(COLUMNS.indexOf("volume"))}$${lines.length + 1}`);
    cells.push(row);
  });
  const sheet = HyperFormula.buildFromArray(cells, { licenseKey: "gpl-v3" });
  const read = (row, name) => sheet.getCellValue({ sheet: 0, row, col: COLUMNS.indexOf(name) });
  return {
    cells: cells.reduce((n, row) => n + row.length, 0),
    setShare: (line, pct) => sheet.setCellContents({ sheet: 0, row: line + 1, col: 0 }, [[pct]]),
    /** Figures of the pot after a line. */
    after: line =>
      Object.fromEntries(
        ["mass", "volume", "level", "temperature", "brix", "salt %", "spent"].map(n => [
          n,
          read(line + 1, n),
        ]),
      ),
  };
}

/** Where ingredients stand, °C. */
const SHELF_C = 15;

const PARTS = [
  "water",
  "fat",
  "proteinOther",
  "collagen",
  "sugars",
  "starch",
  "fibre",
  "salt",
  "ethanol",
  "acidVolatile",
  "acidFixed",
  "other",
];
const COLUMNS = [
  "pct",
  "grams",
  "toBuy",
  "cost",
  "spent",
  ...PARTS,
  ...PARTS.map(part => `all ${part}`),
  "mass",
  "temperature",
  "volume",
  "level",
  "brix",
  "fat %",
  "salt %",
  "sugars %",
  "collagen %",
  "starch %",
  "acid %",
  "alcohol %",
  "cost a kg",
  "g per litre",
];

/** Column name of a spreadsheet: 0 → A, 26 → AA. */
function letter(n) {
  const high = Math.floor(n / 26);
  return (high ? String.fromCharCode(64 + high) : "") + String.fromCharCode(65 + (n % 26));
}

/** Heat capacity of parts at a temperature, J/K. */
function heat(of, t) {
  const t2 = `${t}*${t}`;
  return [
    `${of("water")}*(4176.2-0.090864*${t}+0.0054731*${t2})`,
    `${of("fat")}*(1984.2+1.4733*${t}-0.0048008*${t2})`,
    `(${of("proteinOther")}+${of("collagen")})*(2008.2+1.2089*${t}-0.0013129*${t2})`,
    `(${["sugars", "starch", "acidVolatile", "acidFixed", "other"].map(of).join("+")})*(1548.8+1.9625*${t}-0.0059399*${t2})`,
    `${of("fibre")}*(1845.9+1.8306*${t}-0.0046509*${t2})`,
    `${of("salt")}*(1092.6+1.8896*${t}-0.0036817*${t2})`,
    `${of("ethanol")}*(2440+9.5*(${t}-25))`,
  ].join("+");
}

/** Volume in ml at a temperature: water by its density, the rest by apparent volumes. */
function volume(all, t) {
  const share = part => `IF(${all(part)}>0,${all(part)}/(${all(part)}+${all("water")}),0)`;
  const table = [1.196, 1.1687, 1.1548, 1.1573, 1.1706, 1.1868, 1.2024, 1.2171, 1.2316, 1.2469, 1.2669];
  const at = `MIN(MAX(${share("ethanol")}*10,0),10)`;
  const i = `MIN(FLOOR(${at},1),9)`;
  const low = `CHOOSE(${i}+1,${table.join(",")})`;
  const high = `CHOOSE(${i}+2,${table.join(",")})`;
  return [
    `${all("water")}*1000/((999.83952+${t}*(16.945176+${t}*(-0.0079870401+${t}*(-0.000046170461+${t}*(0.00000010556302-${t}*0.00000000028054253)))))/(1+0.01687985*${t}))`,
    `${all("fat")}*1000/(925.59-0.41757*${t})`,
    `${all("starch")}*1000/(1599.1-0.31046*${t})`,
    `${all("fibre")}*1000/(1311.5-0.36589*${t})`,
    `${all("sugars")}*(0.6152+0.0186*${share("sugars")})*(1+0.0005*(${t}-20))`,
    `${all("salt")}*(0.292+0.29*MIN(${share("salt")},0.28))`,
    `${all("ethanol")}*(${low}+(${high}-${low})*(${at}-${i}))*(1+0.0011*(${t}-20))`,
    `${all("proteinOther")}*0.73`,
    `${all("collagen")}*0.7`,
    `${all("acidVolatile")}*0.864`,
    `${all("acidFixed")}*0.6`,
    `${all("other")}*0.45`,
  ].join("+");
}

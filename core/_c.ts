import { EVERY_FORMULA } from "./families/testing";
import { DEMO_KITCHEN } from "../demo/kitchen";
import { openKitchen, walk } from "./formula";
const only = process.argv[2];
for (const [name, doc] of EVERY_FORMULA) {
  if (only && only !== "w" && !name.includes(only)) continue;
  const w = walk(doc, openKitchen(DEMO_KITCHEN));
  if (only !== "w")
    console.log(
      "##",
      name,
      (w.finishedMl / 1000).toFixed(2) + " l",
      w.finishedG.toFixed(0) + " g",
      (w.totalS / 60).toFixed(0) + " min",
      w.problems.map(p => p.message).join("|"),
    );
  for (const s of w.states) {
    if (only === "w") {
      for (const x of s.warnings) console.log(name, s.step.kind, x.code, x.message);
      continue;
    }
    console.log(
      "   ",
      s.step.kind.padEnd(9),
      s.massG.toFixed(0).padStart(6),
      "g",
      String(s.temperatureC.toFixed(0)).padStart(4),
      (s.durationS / 60).toFixed(1).padStart(6),
      (s.vessel?.name ?? "").padEnd(16),
      s.body ? s.body.thickness?.toFixed?.(0) : "",
      s.computed.map(c => c.what + " " + c.massG.toFixed(0)).join("; "),
      s.warnings.map(w => w.code).join(","),
      s.says ?? "",
    );
  }
}

import { printNumber } from "../../ground/quantity";
import {
  type Thickening,
  fatPctOf,
  loosenTo,
  looseningWith,
  reducedBy,
  saltPctOf,
  thickenTo,
} from "../texture";
import type { Complaint } from "./complaint";
import { type Mend, type Mending, STOCK, notThicker, notThinner, said } from "./mending";

/** Thicker: a slurry, beurre manié, or off with water. */
function bind({ state, temperatureC, facts, target, add }: Mending) {
  const to = target.thickness;
  const thickened = (dose: Thickening["dose"], form: Thickening["form"]) =>
    thickenTo(state, { dose, form }, to, temperatureC, facts);
  const slurry = thickened({ id: "corn", minutes: 2 }, "slurry");
  if (slurry.ok && slurry.value.thickenerG > 0)
    add(
      "corn starch slurry",
      slurry.value.thickenerG + slurry.value.waterG,
      slurry.value.state,
      [
        `${said(slurry.value.thickenerG)} starch in ${said(slurry.value.waterG)} cold water`,
        "back to the boil, one minute, out",
      ],
      ["half clear; weeps when thawed; no wheat in it"],
      { "corn-starch": slurry.value.thickenerG },
    );
  const manie = thickened({ id: "flour", minutes: 5 }, "beurre-manie");
  if (manie.ok && manie.value.thickenerG > 0)
    add(
      "beurre manié",
      manie.value.thickenerG + manie.value.fatG,
      manie.value.state,
      [
        `${said(manie.value.thickenerG)} flour kneaded with ${said(manie.value.fatG)} butter`,
        "by pieces, whisked, 5 min simmering",
      ],
      ["opaque"],
      { "wheat-flour": manie.value.thickenerG, butter: manie.value.fatG },
    );
  const down = loosenTo(state, looseningWith("water"), to, temperatureC, facts);
  if (down.ok && down.value.evaporateG > 0)
    add(
      "boil it down",
      -down.value.evaporateG,
      down.value.state,
      [`${said(down.value.evaporateG)} must go as steam`, "taste the salt before you go on"],
      [`salt rises to ${printNumber(saltPctOf(down.value.state), 2)} %`, "nothing is brought in"],
    );
}

const tooThin: Mend = mending => {
  const { now, target } = mending;
  const enough = notThinner(now.thickness, target.thickness);
  if (enough) return enough;
  bind(mending);
  return undefined;
};

/** A wide pan over a good flame drives off so much, g a minute. Common practice, no source. */
const DRIVES_OFF_G_PER_MIN = 25;

/** Thinned by juice or by standing: what ran in goes off again, or it is bound. */
const watery: Mend = mending => {
  const { state, now, asked, add } = mending;
  const extraG = asked.massG === undefined ? 0 : now.massG - asked.massG;
  const back = extraG > 0 ? reducedBy(state, extraG) : null;
  if (back?.ok) {
    add(
      "boil off what ran in",
      -extraG,
      back.value,
      [
        `${said(extraG)} must go as steam: about ${printNumber(extraG / DRIVES_OFF_G_PER_MIN, 1)} min in a wide pan`,
        `stop at ${said(asked.massG ?? 0)}`,
      ],
      [`salt rises to ${printNumber(saltPctOf(back.value), 2)} %`, "nothing is brought in"],
    );
    if (asked.thickness === undefined) return undefined;
  }
  return tooThin(mending);
};

const tooThick: Mend = ({ state, temperatureC, facts, now, target, add }) => {
  const enough = notThicker(now.thickness, target.thickness);
  if (enough) return enough;
  for (const name of ["stock", "water", "cream"] as const) {
    const found = loosenTo(state, looseningWith(name), target.thickness, temperatureC, facts);
    if (!found.ok) continue;
    add(
      name === "stock" ? "unsalted stock" : name === "cream" ? "cream, unreduced" : "water",
      found.value.addG,
      found.value.state,
      [`${said(found.value.addG)}, hot, a third at a time`, "then salt and acid again"],
      [
        `salt falls to ${printNumber(saltPctOf(found.value.state), 2)} %`,
        ...(name === "cream" ? [`fat rises to ${printNumber(fatPctOf(found.value.state), 1)} %`] : []),
      ],
      name === "stock" ? { [STOCK]: found.value.addG } : name === "cream" ? { cream: found.value.addG } : {},
    );
  }
  return undefined;
};

const gluey: Mend = mending => {
  const problem = tooThick(mending);
  if (problem) return problem;
  mending.nothing(
    "fold, do not beat",
    ["mill or spatula only from here on"],
    ["what the blade has broken does not come back"],
  );
  return undefined;
};

/** Remedies for what is wrong with the body. */
export const BODY_REMEDIES = {
  "too-thin": tooThin,
  watery,
  "too-thick": tooThick,
  gluey,
} satisfies Partial<Record<Complaint, Mend>>;

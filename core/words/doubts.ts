import { saltDoubt } from "../things/larder";
import { g, printMass, printNumber } from "../ground/quantity";
import type { SaidIngredient } from "./reading/pool";

/** A stated share may be off by so much before it is questioned. */
const SHARE_OFF = 0.1;
const SUM_OFF = 0.02;

/** Numbers of one clause that do not fit each other. */
export function contradictions(clause: string, said: readonly SaidIngredient[]): string[] {
  const found: string[] = [];
  const share = /(\d+(?:[.,]\d+)?)\s*%\s*(salt|sugar)/i.exec(clause);
  if (share) {
    const wanted = Number((share[1] ?? "").replace(",", "."));
    const what = (share[2] ?? "salt").toLowerCase();
    const grams = massSaid(clause, said, what);
    if (grams && Math.abs(grams.pct / wanted - 1) > SHARE_OFF)
      found.push(
        `“${share[0]}” and the amounts do not agree: ${printMass(g(grams.partG))} in ${printMass(g(grams.allG))} is ${printNumber(grams.pct, 1)} %.`,
      );
  }
  const total = /(\d+(?:[.,]\d+)?)\s*(kg|g)\b[^:]*:\s*(.+)$/i.exec(clause);
  if (total) {
    const whole = Number((total[1] ?? "").replace(",", ".")) * (/kg/i.test(total[2] ?? "") ? 1000 : 1);
    const parts = [...(total[3] ?? "").matchAll(/(\d+(?:[.,]\d+)?)\s*(kg|g)?\b/gi)].map(
      m => Number((m[1] ?? "").replace(",", ".")) * (/kg/i.test(m[2] ?? "") ? 1000 : 1),
    );
    const sum = parts.reduce((a, b) => a + b, 0);
    if (parts.length > 1 && Math.abs(sum / whole - 1) > SUM_OFF)
      found.push(`The parts add up to ${printMass(g(sum))}, not ${printMass(g(whole))}.`);
  }
  return found;
}

/** Grams of salt or sugar against the whole, from the amounts said or written in the clause. */
function massSaid(
  clause: string,
  said: readonly SaidIngredient[],
  what: string,
): { partG: number; allG: number; pct: number } | null {
  const amounts = [...clause.matchAll(/(\d+(?:[.,]\d+)?)\s*(kg|g|ml|l|litres?)\b/gi)].map(m => {
    const unit = (m[2] ?? "").toLowerCase();
    return {
      value:
        Number((m[1] ?? "").replace(",", ".")) *
        (unit === "kg" || unit === "l" || unit.startsWith("litre") ? 1000 : 1),
      liquid: unit.startsWith("l") || unit === "ml",
    };
  });
  const named = said.find(s => s.ingredient.name.includes(what) && s.massG !== null)?.massG;
  const liquid = amounts.find(a => a.liquid)?.value;
  const solid = named ?? amounts.find(a => !a.liquid)?.value;
  if (!liquid || !solid) return null;
  return { partG: solid, allG: liquid + solid, pct: (100 * solid) / (liquid + solid) };
}

interface Doubted {
  readonly said: readonly SaidIngredient[];
  readonly doubts: readonly string[];
}

/** Salt that cannot be meant, judged on all that the recipe puts in: who salts early thinks of the end. */
export function withSaltDoubts<P extends Doubted>(pieces: readonly P[]): P[] {
  const massOf = (piece: P) => piece.said.reduce((sum, s) => sum + (s.massG ?? 0), 0);
  const all = pieces.reduce((sum, piece) => sum + massOf(piece), 0);
  return pieces.map(piece => {
    const salt = piece.said.reduce(
      (sum, s) => sum + (s.ingredient.composition.salt > 90 ? (s.massG ?? 0) : 0),
      0,
    );
    const { warning } = salt > 0 ? saltDoubt(salt, all - salt) : { warning: null };
    return warning ? { ...piece, doubts: [...piece.doubts, warning.message] } : piece;
  });
}

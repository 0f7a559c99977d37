import { type Line, STEP_KINDS, type Step, type StepKindName } from "../../formula";
import { printNumber } from "../../ground/quantity";
import { sourceOf } from "../house-formulas";
import type { DraftPiece, DraftQuestion } from "../piece";
import { proposeAmount } from "../proposals";
import { TIMES_OF, capital, joined } from "./clause-words";
import type { Reading } from "./in-reading";
import { isEstimate } from "./kinds-of-things";
import { Pans } from "./pans";
import type { SaidIngredient } from "./pool";
import { NOTHING } from "./things-said";

/** From what was understood to a step with its lines, and what of it is still asked. */
export abstract class Builds extends Pans {
  protected built(reading: Reading): DraftPiece {
    const stepId = this.id();
    const { kind } = reading;
    const { wetted, saidMin, toG, ...fields } = reading.fields;
    void wetted;
    const blank = STEP_KINDS[kind].blank(stepId) as Step;
    const known = new Set(Object.keys(STEP_KINDS[kind].fields));
    const own = Object.fromEntries(
      Object.entries(fields).filter(([key, value]) => known.has(key) && value !== undefined),
    );
    if (kind === "dry" && typeof toG === "number") {
      const all = typeof fields["fromG"] === "number" ? fields["fromG"] : this.whole;
      const loss = 100 * (1 - toG / Math.max(all, toG + 1));
      if (loss > 1 && loss < 90) own["lossPct"] = Math.round(loss * 10) / 10;
    }
    const questions: DraftQuestion[] = reading.questions.map(q => ({ ...q }));
    const doubts = [...reading.doubts];
    const takes = STEP_KINDS[kind].takesLines;
    const said = takes ? reading.said.filter(one => one.ingredient.id !== NOTHING) : [];
    for (const one of reading.said) doubts.push(...one.doubts);
    const lines = said.map(one => this.lineFor(one, kind, questions));
    const leftTime =
      typeof saidMin === "number" && kind === "reduce" ? [`Said: ${printNumber(saidMin)} min.`] : [];
    const remark = [
      ...reading.kept.map(capital),
      ...reading.remarks.map(r => r.replace(/[.]$/, "")),
      ...leftTime.map(r => r.replace(/[.]$/, "")),
    ]
      .filter(Boolean)
      .join(". ")
      .slice(0, 300);
    const asked = STEP_KINDS[kind].heard;
    if (
      asked?.asksTime &&
      !("durationMin" in own) &&
      "durationMin" in blank &&
      !questions.some(q => q.about === "durationMin")
    ) {
      const min = TIMES_OF[kind] ?? 20;
      own["durationMin"] = min;
      questions.push({
        about: "durationMin",
        ask: `How long? ${printNumber(min)} min is taken until you say.`,
      });
    }
    if (asked?.asksHeat && kind === "roast" && !("ovenC" in own))
      questions.push({ about: "ovenC", ask: "Oven at what temperature? 200 °C is taken until you say." });
    return {
      id: stepId,
      text: joined(reading.texts),
      step: {
        ...blank,
        ...own,
        lines,
        ...(remark && { remark }),
        ...(reading.pan !== undefined && { pan: reading.pan }),
      } as Step,
      said,
      unknown: reading.said.flatMap(one =>
        one.unknown === null
          ? []
          : [{ name: one.unknown, likeId: one.ingredient.id === NOTHING ? null : one.ingredient.id }],
      ),
      ...(typeof saidMin === "number" && { saidMin }),
      questions,
      doubts: [...new Set(doubts)],
    };
  }

  protected lineFor(one: SaidIngredient, kind: StepKindName, questions: DraftQuestion[]): Line {
    const lineId = this.id();
    const line = { id: lineId, of: sourceOf(one.ingredient) };
    for (const ask of one.asks) {
      // Numbers without a unit are asked about once.
      const bare = ask.endsWith(" g is taken.") && ask.includes(", of what?");
      if (ask && !(bare && this.gramsAsked))
        questions.push({ about: lineId, ask: bare ? `${ask} So are all numbers without a unit.` : ask });
      if (bare) this.gramsAsked = true;
    }
    // What the larder only estimates, and what differs from house to house, is told: strength is not known, it is taken.
    if (one.unknown === null && isEstimate(one.ingredient))
      questions.push({
        about: lineId,
        ask: `“${one.name || one.ingredient.name}”: the larder has only an estimate of it. Taken until you enter yours.`,
      });
    const typed = (one.unknown ? `${one.said} ${one.unknown}`.trim() : one.said).slice(0, 80);
    if (one.relation)
      return {
        ...line,
        amount: one.relation,
        certainty: one.guessed ? "assumed" : "stated",
        ...(typed && { typed }),
      };
    if (one.massG !== null)
      return {
        ...line,
        amount: { kind: "fixed", massG: one.massG },
        certainty: one.guessed ? "assumed" : "stated",
        ...(typed && { typed }),
      };
    const usual = proposeAmount(one.ingredient.id, kind);
    const name = one.unknown ?? one.ingredient.name;
    if (!one.asks.length)
      questions.push({ about: lineId, ask: `How much ${name}?${usual ? ` Taken: ${usual.words}.` : ""}` });
    return {
      ...line,
      amount: usual?.amount ?? { kind: "by-feel", massG: 0 },
      certainty: "assumed",
      ...(typed && { typed }),
    };
  }
}

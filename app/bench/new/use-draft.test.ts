import { describe, expect, test } from "vitest";
import { DEMO_KITCHEN } from "~/demo/kitchen";
import { type Draft, EMPTY_DRAFT, changeDraft, isClear } from "./use-draft";

const said = (text: string, from: Draft = EMPTY_DRAFT) =>
  changeDraft(from, { type: "said", text, kitchen: DEMO_KITCHEN });
const RECIPE =
  "Sweat 200 g onion in 30 g butter for 8 minutes. Add 1 l water and a bit of thyme. Simmer 20 minutes.";

describe("a recipe in words while it is read", () => {
  test("every clause is a piece, open until somebody decides", () => {
    const draft = said(RECIPE);
    expect(draft.pieces.length).toBeGreaterThanOrEqual(3);
    expect(draft.pieces.every(p => p.verdict === "open")).toBe(true);
    expect(new Set(draft.pieces.map(p => p.id)).size).toBe(draft.pieces.length);
  });
  test("the clear ones are taken together, what asks stays open", () => {
    const draft = changeDraft(said(RECIPE), { type: "take the clear ones" });
    for (const piece of draft.pieces) expect(piece.verdict).toBe(isClear(piece) ? "taken" : "open");
  });
  test("what was left out is not taken with the clear ones", () => {
    const first = said(RECIPE);
    const id = first.pieces.find(isClear)?.id ?? "";
    const left = changeDraft(first, { type: "verdict", id, verdict: "left" });
    const all = changeDraft(left, { type: "take the clear ones" });
    expect(all.pieces.find(p => p.id === id)?.verdict).toBe("left");
  });
  test("words typed further keep what was decided about the clauses before", () => {
    const first = said(RECIPE);
    const [piece] = first.pieces;
    const taken = changeDraft(first, { type: "verdict", id: piece?.id ?? "", verdict: "taken" });
    const more = said(`${RECIPE} Strain it.`, taken);
    expect(more.pieces[0]).toMatchObject({ id: piece?.id, verdict: "taken" });
    expect(more.pieces.length).toBe(first.pieces.length + 1);
    expect(more.pieces.at(-1)?.verdict).toBe("open");
  });
  test("a clause that was changed is read anew; the others stay", () => {
    const first = said(RECIPE);
    const all = first.pieces.reduce(
      (draft, p) => changeDraft(draft, { type: "verdict", id: p.id, verdict: "taken" }),
      first,
    );
    const changed = said(RECIPE.replace("200 g onion", "250 g onion"), all);
    expect(changed.pieces.map(p => p.verdict).filter(v => v === "open")).toHaveLength(1);
  });
  test("an amount changed in the list reads the clause anew that it goes in with", () => {
    const listed = (cream: string) =>
      `${cream} cream\n20 g butter\nMelt the butter. Add the cream. Simmer 5 minutes.`;
    const first = changeDraft(said(listed("50 g")), { type: "take the clear ones" });
    expect(first.pieces.every(p => p.verdict === "taken")).toBe(true);
    const changed = said(listed("80 g"), first);
    const anew = changed.pieces.filter(p => p.verdict === "open");
    expect(anew.map(p => p.text)).toEqual(["Add the cream"]);
    expect(anew[0]?.step.lines[0]?.amount).toMatchObject({ kind: "fixed" });
    expect(anew[0]?.said[0]?.massG).toBe(80);
  });
  test("the same clause said twice is two pieces, each with its own decision", () => {
    const twice = said("Skim. Simmer 10 minutes. Skim.");
    const skims = twice.pieces.filter(p => /skim/i.test(p.text));
    expect(skims).toHaveLength(2);
    const one = changeDraft(twice, { type: "verdict", id: skims[0]?.id ?? "", verdict: "left" });
    expect(one.pieces.filter(p => p.verdict === "left")).toHaveLength(1);
    const again = said("Skim. Simmer 10 minutes. Skim.", one);
    expect(again.pieces.map(p => [p.id, p.verdict])).toEqual(one.pieces.map(p => [p.id, p.verdict]));
  });
  test("an answer closes its own question and no other", () => {
    const asks = said("Reduce it by or to a third. Add a bit of salt and a bit of thyme.");
    const piece = asks.pieces.find(p => p.questions.length > 0);
    const [question] = piece?.questions ?? [];
    if (!piece || !question) throw new Error("Nothing is asked.");
    const answered = changeDraft(asks, {
      type: "answer",
      id: piece.id,
      about: question.about,
      step: piece.step,
    });
    const after = answered.pieces.find(p => p.id === piece.id);
    expect(after?.questions).toEqual(piece.questions.filter(q => q.about !== question.about));
    for (const other of answered.pieces.filter(p => p.id !== piece.id))
      expect(other).toEqual(asks.pieces.find(p => p.id === other.id));
  });
  test("a name typed stays when the words do not name it", () => {
    const named = changeDraft(said(RECIPE), { type: "name", name: "Onion broth" });
    expect(said(`${RECIPE} Strain it.`, named).name).toBe("Onion broth");
  });
});

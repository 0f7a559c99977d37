import { describe, expect, test } from "vitest";
import { USUAL_HOUSE } from "../things/house";
import { termsHeard } from ".";

const heard = (text: string) => termsHeard(text, USUAL_HOUSE);

describe("C167 words of the trade in what was said", () => {
  test("a misheard one is named as it should be", () => {
    expect(heard("sweat the mirpoy").map(h => [h.said, h.term.term])).toEqual([["mirpoy", "mirepoix"]]);
    expect(heard("pass through the chinoa")[0]?.term.term).toBe("chinois");
  });
  test("demi is what this house says it is", () => {
    const [demi] = heard("add 2 l demi");
    expect(demi?.term.id).toBe("demi-glace");
    expect(demi?.meaning).toBe("in this house: unsalted brown stock to 50\u00a0%, unbound");
    expect(demi?.senses).toEqual([]);
    const bound = { ...USUAL_HOUSE, demiGlace: { to: 0.4, bound: true } };
    expect(termsHeard("demi", bound)[0]?.meaning).toContain("40\u00a0%, bound");
  });
  test("a word with two meanings asks which", () => {
    expect(heard("temper the yolks")[0]?.senses).toHaveLength(2);
  });
  test("words written as they should be are left alone", () => {
    expect(heard("Reduce the stock, skim, then strain and season the roux.")).toEqual([]);
  });
  test("each is told once", () => {
    expect(heard("mirpoy, mirpoy and more mirpoy")).toHaveLength(1);
  });
});

import { describe, expect, test } from "vitest";
import { g } from "../../ground/quantity";
import { letDown, massFor, printOunces, textFor, USUAL_DISPLAY } from ".";

describe("C168 house definitions", () => {
  test("demi-glace is half the stock: the label prints × 2", () => {
    expect(letDown(0.5)).toEqual({ times: 2, waterParts: 1 });
  });
});

describe("C169 a card in the cook's own units", () => {
  test.each([
    [2236, "2.24 kg"],
    [1114, "1 110 g".replace(" ", "\u202f").replace(" g", "\u00a0g")],
    [4.26, "4.3 g"],
  ])("%d g on a metric card at 10 g", (mass, words) => {
    expect(massFor({ units: "metric", roundG: 10 }, g(mass)).replace(/\u00a0/g, " ")).toBe(
      words
        .replace(/\u00a0/g, " ")
        .replace(/ g/, " g")
        .replace("2.24 kg", "2.24 kg"),
    );
  });
  test.each([
    [28.35, "1 oz"],
    [7.1, "¼ oz"],
    [453.6, "1 lb"],
    [510.3, "1 lb 2 oz"],
    [35.4, "1¼ oz"],
    [3, "⅛ oz"],
    [0.5, "0.02 oz"],
    [0.1, "a trace"],
  ])("%d g is %s", (mass, words) => expect(printOunces(g(mass))).toBe(words));
  test.each([
    ["Cool to 5 °C", "Cool to 41 °F"],
    ["57 to 21 °C within 2 h, ± 2 °C", "135 to 70 °F within 2 h, ± 3.6 °F"],
    ["Alarm 2 °C under the ceiling", "Alarm 3.6 °F under the ceiling"],
    ["hold at 60–65 °C", "hold at 140–149 °F"],
    ["weigh 500 g into 1.2 kg", "weigh 1 lb 1¾ oz into 2 lb 10¼ oz"],
    ["60 g/l of butter", "60 g/l of butter"],
  ])("%s is said as %s", (said, words) => {
    expect(textFor({ units: "us", roundG: 1 }, said).replace(/\u00a0/g, " ")).toBe(words);
    expect(textFor(USUAL_DISPLAY, said)).toBe(said);
  });
  test("nothing small is rounded away", () => {
    expect(massFor(USUAL_DISPLAY, g(0.4))).toBe("0.4 g");
  });
});

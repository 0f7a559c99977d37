/** Heat, air and surfaces. Source: docs/models.md "Evaporation and reduction". */
const OURS = "our estimate";
const TESTS = "range-top tests, from memory";

// prettier-ignore
export const REDUCTION_FACTS = {
  wallLoss: { value: 10, lo: 5, hi: 15, mark: "E", unit: "W/(m² K)", label: "heat the wall of a pot loses", source: OURS },
  topLossOpen: { value: 12, lo: 12, hi: 12, mark: "E", unit: "W/(m² K)", label: "heat an open surface loses besides steam", source: OURS },
  topLossLid: { value: 10, lo: 10, hi: 10, mark: "E", unit: "W/(m² K)", label: "heat a lid loses", source: OURS },
  airSpeed: { value: 0.15, lo: 0.05, hi: 0.5, mark: "E", unit: "m/s", label: "air moving over the pot", source: OURS },
  surfaceStirred: { value: 1, lo: 0.7, hi: 1.2, mark: "E", unit: "×", label: "how freely a stirred surface steams", source: OURS },
  surfaceLazy: { value: 0.4, lo: 0.25, hi: 0.8, mark: "E", unit: "×", label: "how freely a lazy, skimmed stock steams", source: "our estimate: 8–20 l stocks lose 10–20 % in 6–8 h, common practice" },
  surfaceFat: { value: 0.2, lo: 0.1, hi: 0.35, mark: "E", unit: "×", label: "how freely an unbroken fat layer lets steam through", source: OURS },
  surfaceSkin: { value: 0.5, lo: 0.3, hi: 0.8, mark: "E", unit: "×", label: "how freely a cream or starch skin lets steam through", source: OURS },
  lidAjar: { value: 0.35, lo: 0.2, hi: 0.5, mark: "E", unit: "×", label: "steam that passes a lid set ajar", source: OURS },
  lidOn: { value: 0.08, lo: 0.03, hi: 0.15, mark: "E", unit: "×", label: "steam that passes a closed lid", source: OURS },
  gasHome: { value: 0.4, lo: 0.3, hi: 0.5, mark: "E", unit: "share", label: "heat of a domestic gas flame that reaches the pan", source: OURS },
  gasWok: { value: 0.38, lo: 0.28, hi: 0.48, mark: "E", unit: "share", label: "heat of a wok flame that reaches the pan", source: OURS },
  gasPro: { value: 0.3, lo: 0.22, hi: 0.38, mark: "E", unit: "share", label: "heat of a professional gas flame that reaches the pan", source: TESTS },
  inductionHome: { value: 0.85, lo: 0.76, hi: 0.92, mark: "E", unit: "share", label: "heat of domestic induction that reaches the pan", source: TESTS },
  inductionPro: { value: 0.88, lo: 0.76, hi: 0.92, mark: "E", unit: "share", label: "heat of professional induction that reaches the pan", source: TESTS },
  radiant: { value: 0.7, lo: 0.6, hi: 0.78, mark: "E", unit: "share", label: "heat of a glass-ceramic plate that reaches the pan", source: TESTS },
  flatTop: { value: 1, lo: 0.6, hi: 1.4, mark: "E", unit: "×", label: "how hot the flat-top really is", source: OURS },
  settingTrue: { value: 1, lo: 0.9, hi: 1.1, mark: "E", unit: "×", label: "how true the set flame is", source: OURS },
  pressureTrue: { value: 1, lo: 0.98, hi: 1.02, mark: "P", unit: "×", label: "weather around the pressure of the altitude", source: "± 2 %, standard atmosphere, ASHRAE Fundamentals 2017" },
  holdTrue: { value: 1, lo: 1, hi: 1, mark: "E", unit: "×", label: "steam that leaves a sauce held for service, beside the sums", source: OURS },
  holdOff: { value: 0, lo: -2, hi: 2, mark: "E", unit: "K", label: "how far the simmer drifts from its mark", source: OURS },
  vinegarVolatility: { value: 0.7, lo: 0.6, hi: 0.8, mark: "M", unit: "×", label: "how readily vinegar acid leaves with steam", source: "relative volatility of dilute acetic acid, from memory" },
  slowEthanol: { value: 0.6, lo: 0.6, hi: 0.6, mark: "M", unit: "×", label: "how readily alcohol leaves below the boil", source: "diffusivities of ethanol and water in air, from memory" },
} as const;

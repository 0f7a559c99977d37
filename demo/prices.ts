/** Prices per kg of the demo kitchen, in its currency. Invented. */
// prettier-ignore
export const DEMO_PRICES: Readonly<Record<string, number>> = {
  "water": 0.004, "guinea-fowl-carcass": 2.4, "chicken-wings": 3.9, "veal-bones": 2.1, "calfs-foot": 4.2, "onion": 1.1,
  "carrot": 1.2, "celery": 2.3, "leek": 2.6, "shallot": 4.4, "garlic": 7.5, "mushroom": 5.2, "tomato": 2.8,
  "tomato-paste": 4.9, "parsley-stems": 6, "thyme": 18, "bay-leaf": 32, "peppercorns": 21, "juniper": 26,
  "white-wine": 5.6, "red-wine": 6.1, "cider": 3.4, "apple-brandy": 24, "wine-vinegar": 3.1, "cider-vinegar": 2.9,
  "lemon-juice": 5.2, "milk": 1.3, "buttermilk": 1.9, "cream": 5.8, "butter": 9.2, "salted-butter": 9.4,
  "clarified-butter": 13.5, "egg-yolk": 11, "wheat-flour": 0.9, "corn-starch": 2.7, "sunflower-oil": 2.4,
  "olive-oil": 9.8, "walnut-oil": 22, "poultry-fat": 8, "salt": 0.6, "sugar": 1.4, "honey": 11.5, "mustard": 5.4,
  "soy-sauce": 6.8, "bought-brown-stock": 4.6,
};

export const PRICED_ON = "2026-11-02";
export const CURRENCY = "EUR";

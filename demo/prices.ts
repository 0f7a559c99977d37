/** Prices per kg of the demo kitchen, in its currency. Invented. */
// prettier-ignore
export const DEMO_PRICES: Readonly<Record<string, number>> = {
  "water": 0.004, "guinea-fowl-carcass": 2.4, "chicken-wings": 3.9, "veal-bones": 2.1, "calfs-foot": 4.2,
  "chicken-carcass": 2.3, "chicken-feet": 2.7, "duck-carcass": 2.5, "turkey-carcass": 2.4,
  "game-bird-carcass": 2.8, "beef-bones": 2.6, "oxtail": 11.5, "beef-shin": 15.5, "lamb-bones": 2.2,
  "venison-bones": 2.1, "pork-bones": 3, "pigs-trotter": 3, "ham-bone": 2.1, "white-fish-frames": 1.6,
  "trout-frames": 1.3, "langoustine-shells": 2.8, "prawn-shells": 3.4, "lobster-shells": 3.5, "shrimp": 21.5,
  "mussels": 4.8, "clams": 9.5, "duck-skin": 2.2, "chicken-skin": 1.6, "back-fat": 2.4, "suet": 3.1,
  "duck-legs": 8.9, "chicken-legs": 4.6, "pork-shoulder": 7.4, "veal-shoulder": 14.5, "lamb-shoulder": 13.8,
  "smoked-trout": 25, "bacon": 9.9, "onion": 1.1, "carrot": 1.2, "celery": 2.3, "leek": 2.6,
  "shallot": 4.4, "garlic": 7.5, "mushroom": 5.2, "tomato": 2.8, "tomato-paste": 4.9, "red-onion": 3.1,
  "spring-onion": 3.4, "celeriac": 3.3, "parsnip": 3.1, "turnip": 2.6, "parsley-root": 2.6, "fennel": 2.5,
  "beetroot": 2.8, "salsify": 2.6, "potato-floury": 2, "potato-waxy": 2.9, "sweet-potato": 2.6, "pumpkin": 3.2,
  "spinach": 15, "nettles": 14.5, "watercress": 16, "sorrel": 14.5, "cabbage": 3.4, "cauliflower": 2.7,
  "broccoli": 2.5, "asparagus": 2.7, "peas": 2.3, "broad-beans": 3, "sweetcorn": 2.5, "red-pepper": 3.5,
  "aubergine": 2.6, "courgette": 2.3, "cucumber": 2.4, "chestnuts": 3.3, "tinned-tomato": 6.1, "passata": 6.4,
  "dried-ceps": 100, "dried-morels": 280, "dried-shiitake": 82, "chanterelles": 28.5, "ginger": 2.5, "chilli": 2.5,
  "horseradish": 3.4, "lemongrass": 16.5, "parsley-stems": 6, "thyme": 18, "bay-leaf": 32, "peppercorns": 21,
  "juniper": 26, "parsley": 17, "tarragon": 19, "chervil": 13, "chives": 13.5, "dill": 13, "basil": 13, "sage": 13,
  "rosemary": 13, "mint": 13, "coriander-leaf": 14, "lovage": 14, "lime-leaf": 13, "white-pepper": 22.5,
  "cloves": 24, "allspice": 27.5, "star-anise": 25, "cinnamon": 30, "nutmeg": 24.5, "coriander-seed": 24.5,
  "fennel-seed": 32, "caraway": 33.5, "cumin": 23, "cardamom": 23, "mustard-seed": 26.5, "paprika": 29.5,
  "cayenne": 33.5, "saffron": 3820, "white-wine": 5.6, "red-wine": 6.1, "cider": 3.4, "apple-brandy": 24,
  "wine-vinegar": 3.1, "cider-vinegar": 2.9, "lemon-juice": 5.2, "port": 7.2, "madeira": 7.3, "dry-sherry": 9.8,
  "marsala": 7.3, "dry-vermouth": 10.5, "sparkling-wine": 3, "grape-brandy": 20.5, "dark-rum": 21.5, "gin": 17.5,
  "aniseed-spirit": 18.5, "lager": 2.9, "dark-beer": 3.1, "red-wine-vinegar": 4.9, "sherry-vinegar": 4.3,
  "balsamic-vinegar": 4, "rice-vinegar": 4.2, "spirit-vinegar": 4.5, "verjus": 4.1, "lemon": 2.4, "lime-juice": 3,
  "orange-juice": 3.1, "apple-juice": 3.1, "grape-juice": 3.5, "apple": 2.4, "pear": 2.3, "quince": 2.6,
  "raspberries": 2.4, "blackcurrants": 3.2, "lingonberries": 2.4, "cherries": 2.8, "prunes": 2.6, "raisins": 2.4,
  "milk": 1.3, "buttermilk": 1.9, "cream": 5.8, "butter": 9.2, "salted-butter": 9.4, "clarified-butter": 13.5,
  "egg-yolk": 11, "pasteurised-yolk": 14, "pasteurised-egg": 6.2, "pasteurised-white": 5.4, "skimmed-milk": 1.3, "cream-30": 5.4, "cream-18": 5.4, "creme-fraiche": 5.3, "sour-cream": 5.3,
  "yogurt": 4.9, "mascarpone": 4.4, "fresh-cheese": 13, "hard-cheese": 18, "parmesan": 15, "blue-cheese": 19,
  "egg": 4.3, "egg-white": 5.6, "coconut-milk": 1.3, "wheat-flour": 0.9, "corn-starch": 2.7, "sunflower-oil": 2.4,
  "olive-oil": 9.8, "walnut-oil": 22, "poultry-fat": 8, "salt": 0.6, "sugar": 1.4, "honey": 11.5, "mustard": 5.4,
  "soy-sauce": 6.8, "bought-brown-stock": 4.6, "rye-flour": 2.9, "buckwheat-flour": 2.7, "rice-flour": 2,
  "rice": 1.9, "barley": 2, "potato-starch": 2.1, "arrowroot": 2.3, "tapioca-starch": 2.2, "bread": 2,
  "gelatin-leaf": 32, "agar": 30.5, "xanthan": 35, "rapeseed-oil": 9.5, "grapeseed-oil": 8.3, "hazelnut-oil": 7.5,
  "sesame-oil": 8.8, "lard": 6.4, "beef-dripping": 8, "duck-fat": 8, "coarse-salt": 1.9, "brown-sugar": 1.9,
  "glucose-syrup": 1.5, "redcurrant-jelly": 5.5, "wholegrain-mustard": 6.9, "capers": 13.5, "gherkins": 2.4,
  "anchovies": 19, "fish-sauce": 6.5, "miso": 4.8, "dark-chocolate": 16, "walnuts": 12, "almonds": 14.5,
  "hazelnuts": 12, "tahini": 5.4, "bought-white-stock": 4.7, "bought-fish-stock": 3.7, "bought-vegetable-stock": 5,
  "stock-powder": 3.7,
};

export const PRICED_ON = "2026-11-02";
export const CURRENCY = "EUR";

/** Earlier prices, as shares of today’s, by the day they held from. Invented. */
export const EARLIER_PRICES: readonly (readonly [string, number])[] = [
  ["2026-03-02", 0.92],
  ["2026-06-15", 1.06],
  ["2026-09-07", 0.97],
];
/** Ingredients whose price was noted more than once. */
export const WATCHED = [
  "guinea-fowl-carcass",
  "cream",
  "butter",
  "shallot",
  "white-wine",
  "langoustine-shells",
] as const;

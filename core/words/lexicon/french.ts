/** French names that stand on kitchen tickets, without accents, and what the larder calls each. Common practice, no source. */
export const FRENCH: Readonly<Record<string, string>> = {
  echalote: "shallot", echalotes: "shallot", oignon: "onion", oignons: "onion", carotte: "carrot", carottes: "carrot",
  celeri: "celery", poireau: "leek", poireaux: "leek", ail: "garlic", champignon: "mushroom", champignons: "mushroom",
  tomate: "tomato", tomates: "tomato", "concentre de tomate": "tomato paste", "vin rouge": "red wine",
  "vin blanc": "dry white wine", vinaigre: "white wine vinegar", "vinaigre de vin rouge": "red wine vinegar", porto: "port",
  madere: "madeira", beurre: "butter", "beurre clarifie": "clarified butter", creme: "cream", "creme double": "double cream",
  lait: "milk", farine: "flour", maizena: "cornflour", fecule: "potato starch", jaune: "egg yolk", jaunes: "egg yolk",
  "jaunes doeuf": "egg yolk", "jaunes doeufs": "egg yolk", oeuf: "egg", oeufs: "egg", sel: "salt", "gros sel": "coarse salt",
  poivre: "peppercorns", mignonnette: "peppercorns", thym: "thyme", laurier: "bay leaf", persil: "parsley",
  estragon: "tarragon", cerfeuil: "chervil", ciboulette: "chives", basilic: "basil", sucre: "sugar", moutarde: "mustard",
  huile: "oil", "huile dolive": "olive oil", eau: "water", citron: "lemon juice", "fond blanc": "white stock",
  "fond brun": "brown stock", "fond de veau": "brown stock", "fumet de poisson": "fish stock", "os de veau": "veal bones",
}; // prettier-ignore

import type { Ingredient } from "../../things/larder";

/**
 * What an unknown thing is most like, by the word its name ends with or holds: a likeness to count with until somebody says
 * what it is, never the thing itself. The first that fits counts. Common practice, no source.
 */
const LIKE: readonly (readonly [words: RegExp, id: string])[] = [
  [/\b(?:fish|lobster|crab|shrimp|prawn|seafood|shellfish|langoustine|clam)\b.*\b(?:stock|jus|broth)\b|\bfumet\b|\bdashi\b/, "bought-fish-stock"],
  [/\b(?:vegetable|mushroom|onion|tomato)\b.*\b(?:stock|jus|broth)\b/, "bought-vegetable-stock"],
  [/\b(?:chicken|turkey|poultry|white|rabbit|guinea|fowl|capon)\b.*\b(?:stock|jus|broth)\b/, "bought-white-stock"],
  [/\b(?:stock|jus|broth|demi|glace|gravy|bouillon|consomme|dripping?s)\b/, "bought-brown-stock"],
  [/\b(?:bacon|turkey|chicken|goose|pork|ham|pan) fat\b|\bschmaltz\b/, "poultry-fat"],
  [/\bfat\b|\bmargarine\b|\bshortening\b/, "lard"],
  [/\b(?:peanut|almond|nut|hazelnut|cashew|seed) (?:butter|paste)\b/, "tahini"],
  [/\bvinegar\b/, "wine-vinegar"],
  [/\bmirin\b|\bsake\b/, "dry-sherry"],
  [/\b(?:oat|soy|soya|almond|rice|cashew|plant|vegan)\b.*\bcream\b/, "cream-18"],
  [/\b(?:oat|soy|soya|almond|rice|cashew|plant|vegan)\b.*\bmilk\b/, "skimmed-milk"],
  [/\bcream\b/, "cream-30"],
  [/\bmilk\b/, "milk"],
  [/\b(?:cheese|cheddar|comte|emmental|gouda|pecorino|fontina)\b/, "hard-cheese"],
  [/\bmustard\b/, "mustard"],
  [/\bsyrup\b|\bmolasses\b|\btreacle\b|\bagave\b/, "honey"],
  [/\bsugar\b|\bjaggery\b/, "sugar"],
  [/\b(?:jelly|jam|marmalade|chutney|preserve)\b/, "redcurrant-jelly"],
  [/\b(?:sauce|ketchup|salsa|relish|extract|marmite)\b/, "passata"],
  [/\boil\b/, "sunflower-oil"],
  [/\bflour\b/, "wheat-flour"],
  [/\bstarch\b/, "corn-starch"],
  [/\b(?:liqueur|spirit|whisky|whiskey|bourbon|vodka|cognac|armagnac|calvados|grappa)\b/, "grape-brandy"],
  [/\b(?:beer|ale)\b/, "lager"],
  [/\bwine\b/, "white-wine"],
  [/\bjuice\b/, "orange-juice"],
  [/\b(?:crab|lobster|crayfish|shrimp|prawn|langoustine)\b.*\b(?:shells?|heads?)\b/, "prawn-shells"],
  [/\b(?:zest|peel|rind)\b/, "bay-leaf"],
  [/\bmushrooms?\b|\bceps?\b|\bporcini\b/, "mushroom"],
  [/\bonions?\b/, "onion"],
  [/\b(?:potatoes|potato)\b/, "potato-floury"],
  [/\b(?:squash|pumpkin)\b/, "pumpkin"],
  [/\b(?:passion|mango|peach|apricot|nectarine|papaya|melon|pineapple|banana)\w*\b.*|\bpulp\b/, "quince"],
  [/\b(?:berries|gooseberries|currants|strawberries|blackberries|blueberries|cranberries)\b|\w+berr(?:y|ies)\b/, "lingonberries"],
  [/\b(?:plums?|figs?|dates?)\b/, "prunes"],
  [/\b(?:nuts?|pistachios?|pecans?|cashews?|peanuts?)\b/, "almonds"],
  [/\b(?:bones?|carcass(?:es)?|neck|necks|ribs?|knuckles?)\b/, "veal-bones"],
  [/\b(?:monkfish|cod|sole|turbot|bass|salmon|halibut|hake|trout|fish|squid|scallops?|oysters?)\b/, "shrimp"],
  [/\b(?:chicken|duck|turkey|hen|fowl|pheasant|quail|rabbit|thighs?|wings?|breasts?|livers?)\b/, "chicken-legs"],
  [/\b(?:lamb|mutton|shanks?)\b/, "lamb-shoulder"],
  [/\b(?:pork|belly|ham|sausages?|chorizo|gammon)\b/, "pork-shoulder"],
  [/\b(?:veal|calf)\b/, "veal-shoulder"],
  [/\b(?:steaks?|sirloin|cheeks?|oxtails?|tails?|beef|brisket|shin|fillet|venison|meat|cutlets?|chops?|loin|rump)\b/, "beef-shin"],
]; // prettier-ignore

/** The entry of a larder that a thing nobody knows is most like; `null` where it is like nothing. */
export function likeness(name: string, larder: readonly Ingredient[]): Ingredient | null {
  const id = LIKE.find(([words]) => words.test(name))?.[1];
  return (id && larder.find(one => one.id === id)) || null;
}

/** Closed classes of words. What is in none of them and is no verb is taken for a name. */

const set = (words: string): ReadonlySet<string> => new Set(words.trim().split(/\s+/));

/** Says nothing of what, how much or until when. */
export const FILLER = set(`
a an the this that these those some any all both each every other another same own such
and or but nor plus also too either neither
in into on onto of off at to from by for with over under up down out through about around after before between during
against along across behind beside near per as than back away apart together aside inside within upon toward towards
i you he she it we they me him her us them my your his its our their yours mine who whom which what whose when where why how
someone somebody everyone everybody anyone nobody none nothing everything something anything whoever whatever one ones
is are was were be been being am do does did done doing have has had having can could will would shall should may might must
let lets letting youll youve youre youd thats heres theres ill ive id wed weve were itll theyll theyre hes shes whats im dont
not no never without just really only then so if because while once again here there now later today tomorrow yesterday
first last next soon still already yet even ever maybe perhaps please quite rather almost nearly enough more most less least
much many well nicely gently slowly quickly carefully thoroughly immediately straight right ok okay yeah alright gradually
bit little lot kind sort way very extra fairly pretty totally completely obviously basically actually usually always often
meanwhile until till untill til unless though although since whether instead otherwise anyway however
de la le les du des et au aux en
`);

/** Prepositions that tell where to, for whom or like what: what follows goes nowhere. */
export const BESIDE = set("for against like than from behind beside onto on over beneath under as");

/** Adjectives and participles that do not change what a thing is. */
export const HARMLESS = set(`
fresh freshly cold hot warm lukewarm chilled frozen iced ice soft softened ripe raw good best nice fine finely coarsely big small large medium
little whole chopped sliced diced minced grated crushed smashed bruised cracked ground picked peeled shelled stoned pitted
trimmed washed cubed quartered halved shredded crumbled melted toasted sifted packed strained drained rinsed skinned scrubbed
thin thick thinly thickly roughly loosely lightly very extra plain ordinary proper sharp decent cheap young old strong ready
deep yellow organic unwaxed homemade own bought clear spare mixed assorted tender thawed slaked mashed minced unsalted
robot cut split scored torn soaked deveined cleaned boned boneless lean free range quality level heaped heaping such many
leftover remaining rest usual same more slow careful quick rough pale bright green
sprinkled cored seeded deseeded crushed lightly beaten blanched preferably pasteurised warmed reserved resting
bone-in skin-on shell-on head-on skin-off head-off half double inch thumb sized nearly almost good-quality tepid tightly loose wide heavy shallow clean gentle high low bare open lazy honest spare thinner thicker cooking eating defatted salt-free
`);

/** Shapes and parts that a vegetable is cut to and a herb is picked into, after its name. */
export const SHAPES = set(
  "cubes cube pieces piece chunks slices slice wedges rings batons dice sticks strips flesh halves quarters caps florets segments brunoise julienne trimmings trim scraps matchsticks paysanne macedoine concasse ends tops",
);
export const HERB_PARTS = set(
  "leaves leaf stalks stalk stems stem sprigs sprig stick sticks seed seeds pods powder thread threads berry berries",
);

/** What lies in the pot already, whatever it is. */
export const IN_THE_POT = set(`
sauce liquor liquid juice juices mix mixture base reduction puree emulsion contents lot pot pan stuff soup broth meat bones
bone vegetables vegetable veg solids aromatics herbs herb spices bird birds shells flesh cheeses cheese caramel lumps scum foam skin
surface fond sucs water steam flames bubbles bath bouquet bundle fish pieces residue fat glaze gravy bisque coulis duxelles stock jus batch roux slurry liaison beurre manie rule bechamel velouté veloute gastrique total recipe way thing whole stage time dish berries fruit custard paste garnish seeds peel pulp
`);

/** Vessels and tools. */
export const TOOLS = set(`
pot pots pan pans saucepan skillet casserole kettle tray trays bowl bowls jug tub tubs container containers tin oven stove
hob burner ring grill fire flame flames heat blender thermo processor food stick whisk spoon spatula sieve chinois tamis mouli mill
strainer colander cloth muslin cheesecloth paper foil film lid cartouche board knife ladle thermometer probe brush mixer drum
fridge freezer ice bath bain marie plate plates sheet side sides edge edges bottom corner corners top middle rack back front
skin-side layer bag bags bottle bottles jar jars blast chiller tilt cornet
`);

/** Words for how long and how far that go with what they stand by, and name nothing. */
export const MEASURING = set(`
nappe sec ribbon equal weights amounts minute minutes hour hours day days night morning week second seconds degree degrees celsius fahrenheit centigrade time times
litre litres liter liters kilo kilos gram grams percent cent weight volume size height depth inch inches cm mm half third thirds quarter quarters
`);

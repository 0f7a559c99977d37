import { beurreBlanc } from "./beurre-blanc";
import { bisque } from "./bisque";
import { braiseLiquor } from "./braise-liquor";
import { brownStock } from "./brown-stock";
import { confit } from "./confit";
import { coulis } from "./coulis";
import { duxelles } from "./duxelles";
import { eggWhiteEmulsion } from "./egg-white-emulsion";
import type { Family } from "./family";
import { fatEmulsion } from "./fat-emulsion";
import { fishStock } from "./fish-stock";
import { fruitPuree } from "./fruit-puree";
import { gastrique } from "./gastrique";
import { glace } from "./glace";
import { glaze } from "./glaze";
import { greenPuree } from "./green-puree";
import { jus } from "./jus";
import { mayonnaise } from "./mayonnaise";
import { meatFreeBrown } from "./meat-free-brown";
import { meatFreeWhite } from "./meat-free-white";
import { panSauce } from "./pan-sauce";
import { potatoPuree } from "./potato-puree";
import { poultryStock } from "./poultry-stock";
import { pureeSoup } from "./puree-soup";
import { renderedFat } from "./rendered-fat";
import { rootPuree } from "./root-puree";
import { rouxGravy } from "./roux-gravy";
import { shellfishStock } from "./shellfish-stock";
import { vegetableStock } from "./vegetable-stock";
import { veloute } from "./veloute";
import { warmButter } from "./warm-butter";
import { whiteSauce } from "./white-sauce";
import { whiteStew } from "./white-stew";
import { whiteStock } from "./white-stock";

/** Every family, in the order of a kitchen's day: a new one is one file and one line here. */
export const FAMILIES: readonly Family[] = [
  brownStock,
  whiteStock,
  poultryStock,
  fishStock,
  shellfishStock,
  vegetableStock,
  jus,
  braiseLiquor,
  panSauce,
  rouxGravy,
  veloute,
  whiteSauce,
  whiteStew,
  glaze,
  meatFreeBrown,
  meatFreeWhite,
  beurreBlanc,
  warmButter,
  mayonnaise,
  eggWhiteEmulsion,
  fatEmulsion,
  rootPuree,
  greenPuree,
  fruitPuree,
  potatoPuree,
  coulis,
  pureeSoup,
  bisque,
  glace,
  gastrique,
  duxelles,
  renderedFat,
  confit,
];

export const familyById = (id: string): Family | undefined => FAMILIES.find(f => f.id === id);

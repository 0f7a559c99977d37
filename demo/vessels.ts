import type { Burner } from "../core/laws/reduction";
import type { Vessel } from "../core/things/vessel";

/** The pots of Kelder Pass Station. Invented. */
// prettier-ignore
export const DEMO_VESSELS: readonly Vessel[] = [
  { id: "tray-gn", name: "Roasting trays", use: "tray", shape: { shape: "rect", baseLengthMm: 620, baseWidthMm: 490, rimLengthMm: 650, rimWidthMm: 530, heightMm: 65, cornerMm: 40 }, tareG: 4380, metal: "steel", handles: "none" },
  { id: "tall-1", name: "Tall pot No 1", use: "pot", shape: { shape: "cylinder", diameterMm: 320, heightMm: 320 }, tareG: 4120, metal: "steel", handles: "two" },
  { id: "tall-2", name: "Tall pot No 2", use: "pot", shape: { shape: "cylinder", diameterMm: 400, heightMm: 400 }, tareG: 6420, metal: "steel", handles: "two" },
  { id: "low-36", name: "Low pot 36", use: "pot", shape: { shape: "cylinder", diameterMm: 360, heightMm: 140 }, tareG: 4650, metal: "steel", handles: "two" },
  { id: "saucepan-24", name: "Saucepan 24", use: "pan", shape: { shape: "cylinder", diameterMm: 240, heightMm: 130 }, tareG: 1930, metal: "steel", handles: "long" },
  { id: "saucepan-18", name: "Saucepan 18", use: "pan", shape: { shape: "cylinder", diameterMm: 180, heightMm: 100 }, tareG: 1180, metal: "steel", handles: "long" },
  { id: "sauteuse-24", name: "Sauteuse 24", use: "pan", shape: { shape: "frustum", baseMm: 180, rimMm: 240, heightMm: 75 }, tareG: 1512, metal: "steel", handles: "long" },
  { id: "copper-20", name: "Copper sauté pan 20", use: "pan", shape: { shape: "cylinder", diameterMm: 200, heightMm: 60 }, tareG: 1720, metal: "copper", lining: "tin", handles: "long" },
  { id: "kettle-60", name: "Steam kettle 60", use: "pot", shape: { shape: "bowl", diameterMm: 500, bottomDepthMm: 200, heightMm: 400 }, tareG: 62_000, metal: "steel", closed: "steam kettle", handles: "none" },
  { id: "bowl-28", name: "Steel bowl 28", use: "container", shape: { shape: "bowl", diameterMm: 280, bottomDepthMm: 90, heightMm: 150 }, tareG: 640, metal: "steel", handles: "none" },
  { id: "insert-30", name: "Cold insert 30", use: "container", shape: { shape: "cylinder", diameterMm: 300, heightMm: 320 }, tareG: 2260, metal: "steel", handles: "two" },
  { id: "insert-20", name: "Cold insert 20", use: "container", shape: { shape: "cylinder", diameterMm: 220, heightMm: 240 }, tareG: 1340, metal: "steel", handles: "two" },
];

const open = (n: number, column: number, row: number, kind: Burner["kind"] = "gas-pro"): Burner => ({
  id: `open-${n}`,
  name: `Burner ${n}`,
  kind,
  xMm: 660 + column * 430,
  yMm: 30 + (1 - row) * 440,
  widthMm: 410,
  depthMm: 420,
});

/** The range: a flat-top with a hot middle and a cooler edge, and eight open burners. Invented. */
export const DEMO_BURNERS: readonly Burner[] = [
  {
    id: "plate-hot",
    name: "Flat-top, hot end",
    kind: "flat-top-centre",
    xMm: 30,
    yMm: 460,
    widthMm: 600,
    depthMm: 430,
  },
  {
    id: "plate-cool",
    name: "Flat-top, cool end",
    kind: "flat-top-edge",
    xMm: 30,
    yMm: 30,
    widthMm: 600,
    depthMm: 420,
  },
  open(1, 0, 0),
  open(2, 1, 0),
  open(3, 2, 0),
  open(4, 3, 0, "gas-pro-small"),
  open(5, 0, 1),
  open(6, 1, 1),
  open(7, 2, 1),
  open(8, 3, 1, "gas-pro-small"),
];

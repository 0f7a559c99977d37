import { type Millilitres, type Millimetres, ml, mm, printNumber } from "../../ground/quantity";
import { InvariantError, type Result, ok, refuse } from "../../ground/result";
import type { VesselShape } from "./shape";

/**
 * Litres ↔ millimetres ↔ surface, exactly, for every shape.
 *
 * Plain numbers in mm, mm² and mm³ (1 ml = 1000 mm³) inside; the exported doors speak mm and ml.
 * Source: elementary geometry; docs/models.md "Vessels".
 */
interface Solid {
  readonly height: number;
  readonly volume: (h: number) => number;
  readonly area: (h: number) => number;
  /** Wetted inside wall, without a flat base. */
  readonly wall: (h: number) => number;
  readonly inverse?: (v: number) => number;
}

function solidOf(shape: VesselShape): Solid {
  switch (shape.shape) {
    case "cylinder":
      return cylinder(shape.diameterMm, shape.heightMm);
    case "frustum":
      return frustum(shape.baseMm / 2, shape.rimMm / 2, shape.heightMm);
    case "bowl":
      return bowl(shape.diameterMm, shape.bottomDepthMm, shape.heightMm);
    case "rect":
      return rect(shape);
    case "table":
      return table(shape.points);
  }
}

function cylinder(d: number, height: number): Solid {
  const area = (Math.PI * d * d) / 4;
  return {
    height,
    volume: h => area * h,
    area: () => area,
    wall: h => Math.PI * d * h,
    inverse: v => v / area,
  };
}

function frustum(r0: number, r1: number, height: number): Solid {
  const slope = (r1 - r0) / height;
  if (Math.abs(slope * height) / r0 < 1e-6) return cylinder(2 * r0, height);
  const radius = (h: number) => r0 + slope * h;
  return {
    height,
    volume: h => Math.PI * h * (r0 * r0 + r0 * slope * h + (slope * slope * h * h) / 3),
    area: h => Math.PI * radius(h) ** 2,
    wall: h => Math.PI * (2 * r0 + slope * h) * h * Math.sqrt(1 + slope * slope),
    inverse: v => (Math.cbrt(r0 ** 3 + (3 * slope * v) / Math.PI) - r0) / slope,
  };
}

function bowl(d: number, b: number, height: number): Solid {
  const sphere = ((d / 2) ** 2 + b * b) / (2 * b);
  const full = (Math.PI * d * d) / 4;
  const cap = (h: number) => (Math.PI * h * h * (3 * sphere - h)) / 3;
  return {
    height,
    volume: h => (h <= b ? cap(h) : cap(b) + full * (h - b)),
    area: h => (h <= b ? Math.PI * (2 * sphere * h - h * h) : full),
    wall: h => (h <= b ? 2 * Math.PI * sphere * h : 2 * Math.PI * sphere * b + Math.PI * d * (h - b)),
  };
}

function rect(shape: Extract<VesselShape, { shape: "rect" }>): Solid {
  const { baseLengthMm: l0, baseWidthMm: w0, heightMm: height } = shape;
  const a = (shape.rimLengthMm - l0) / height;
  const e = (shape.rimWidthMm - w0) / height;
  const corners = (4 - Math.PI) * shape.cornerMm ** 2;
  return {
    height,
    volume: h => (l0 * w0 - corners) * h + ((l0 * e + w0 * a) * h * h) / 2 + (a * e * h ** 3) / 3,
    area: h => (l0 + a * h) * (w0 + e * h) - corners,
    wall: h => 2 * h * (l0 + (a * h) / 2 + (w0 + (e * h) / 2)),
  };
}

function table(points: readonly (readonly [number, number])[]): Solid {
  const segment = (found: (p: readonly [number, number]) => boolean) => {
    const i = Math.max(1, points.findIndex(found));
    const [from, to] = [points[i - 1], points[i]];
    if (!from || !to) throw new InvariantError("A vessel table needs at least two points.");
    return { from, to, slope: ((to[1] - from[1]) * 1000) / (to[0] - from[0]) };
  };
  const last = points[points.length - 1];
  if (!last) throw new InvariantError("A vessel table needs points.");
  const at = (h: number) => segment(p => p[0] >= Math.min(h, last[0]));
  return {
    height: last[0],
    volume: h => {
      const { from, slope } = at(h);
      return from[1] * 1000 + slope * (h - from[0]);
    },
    area: h => at(h).slope,
    wall: h => Math.sqrt(4 * Math.PI * at(h).slope) * h,
    inverse: v => {
      const { from, slope } = segment(p => p[1] * 1000 >= Math.min(v, last[1] * 1000));
      return from[0] + (v - from[1] * 1000) / slope;
    },
  };
}

/** Bracketed Newton for h(V), at most 100 passes, to 1e-9 mm. */
function invert(solid: Solid, v: number): number {
  if (v <= 0) return 0;
  if (solid.inverse) return solid.inverse(v);
  let lo = 0;
  let hi = solid.height;
  let h = hi * Math.sqrt(v / solid.volume(hi));
  for (let pass = 0; pass < 100; pass++) {
    const error = solid.volume(h) - v;
    if (error > 0) hi = h;
    else lo = h;
    let next = h - error / solid.area(h);
    if (!(next > lo && next < hi)) next = (lo + hi) / 2;
    if (Math.abs(next - h) < 1e-9) return next;
    h = next;
  }
  throw new InvariantError("The level of a vessel did not converge.");
}

/** A vessel's geometry, made once and asked often. */
export interface Geometry {
  readonly heightMm: Millimetres;
  readonly capacityMl: Millilitres;
  readonly baseDiameterMm: Millimetres;
  readonly volumeAtLevel: (level: Millimetres) => Millilitres;
  /** Clipped to the rim: for solvers that have checked the overflow before. */
  readonly levelClipped: (volume: Millilitres) => Millimetres;
  /** @errors OVERFLOW · NEGATIVE */
  readonly levelOf: (volume: Millilitres, field?: string) => Result<Millimetres>;
  /** Free surface, mm². */
  readonly surfaceMm2: (level: Millimetres) => number;
  /** Wetted wall, mm². */
  readonly wallMm2: (level: Millimetres) => number;
}

/** Diameter that decides what a burner reaches: the base, or the circle as large as a rectangular base. */
function baseDiameter(shape: VesselShape): number {
  switch (shape.shape) {
    case "cylinder":
    case "bowl":
      return shape.diameterMm;
    case "frustum":
      return shape.baseMm;
    case "rect":
      return Math.sqrt((4 * shape.baseLengthMm * shape.baseWidthMm) / Math.PI);
    case "table": {
      const [, first] = shape.points;
      return first ? Math.sqrt((4 * first[1] * 1000) / (Math.PI * first[0])) : 0;
    }
  }
}

const cache = new WeakMap<VesselShape, Geometry>();

/** Geometry of a checked shape. */
export function geometryOf(shape: VesselShape): Geometry {
  const known = cache.get(shape);
  if (known) return known;
  const solid = solidOf(shape);
  const capacity = solid.volume(solid.height);
  const made: Geometry = {
    heightMm: mm(solid.height),
    capacityMl: ml(capacity / 1000),
    baseDiameterMm: mm(baseDiameter(shape)),
    volumeAtLevel: level => ml(solid.volume(level) / 1000),
    levelClipped: volume => mm(invert(solid, Math.min(volume * 1000, capacity))),
    levelOf: (volume, field = "volumeMl") => {
      if (volume < 0)
        return refuse({ code: "NEGATIVE", field, value: volume, message: "A volume cannot be negative." });
      if (volume * 1000 > capacity * (1 + 1e-9))
        return refuse({
          code: "OVERFLOW",
          field,
          value: volume,
          allowed: capacity / 1000,
          message: `${printNumber(volume / 1000, 1)} l is more than this pot holds (${printNumber(capacity / 1e6, 1)} l).`,
        });
      return ok(mm(invert(solid, volume * 1000)));
    },
    surfaceMm2: level => solid.area(level),
    wallMm2: level => solid.wall(level),
  };
  cache.set(shape, made);
  return made;
}

/** Half-width of the inside at a height, mm: what a cross-section drawing needs. Round vessels and the long side of pans. */
export function profileMm(shape: VesselShape, level: number): number {
  switch (shape.shape) {
    case "cylinder":
      return shape.diameterMm / 2;
    case "frustum":
      return (shape.baseMm + ((shape.rimMm - shape.baseMm) * level) / shape.heightMm) / 2;
    case "rect":
      return (shape.baseLengthMm + ((shape.rimLengthMm - shape.baseLengthMm) * level) / shape.heightMm) / 2;
    case "bowl":
    case "table":
      return Math.sqrt(geometryOf(shape).surfaceMm2(mm(level)) / Math.PI);
  }
}

import { z } from "zod";
import { type Problem, type Result, ok, refuse } from "../../ground/result";

const length = (min: number, max: number) => z.number().min(min).max(max);

/** Inside shape of a vessel, all measures in mm. */
export const shapeSchema = z.discriminatedUnion("shape", [
  z.object({ shape: z.literal("cylinder"), diameterMm: length(60, 1200), heightMm: length(20, 1200) }),
  z.object({
    shape: z.literal("frustum"),
    baseMm: length(60, 1200),
    rimMm: length(60, 1200),
    heightMm: length(20, 1200),
  }),
  z.object({
    shape: z.literal("bowl"),
    diameterMm: length(60, 1200),
    bottomDepthMm: length(10, 600),
    heightMm: length(20, 1200),
  }),
  z.object({
    shape: z.literal("rect"),
    baseLengthMm: length(60, 1500),
    baseWidthMm: length(60, 1500),
    rimLengthMm: length(60, 1500),
    rimWidthMm: length(60, 1500),
    heightMm: length(20, 1200),
    cornerMm: length(0, 500),
  }),
  /** Measured by pouring litres in: pairs of depth in mm and content in ml. */
  z.object({
    shape: z.literal("table"),
    points: z.array(z.tuple([z.number().min(0), z.number().min(0)])).min(3),
  }),
]);
export type VesselShape = Readonly<z.infer<typeof shapeSchema>>;

/** The least a table of depths has to hold to be a pot. */
function tableProblem(points: readonly (readonly [number, number])[]): string | null {
  if (points[0]?.[0] !== 0 || points[0][1] !== 0) return "its first reading must be 0 mm and 0 ml";
  const rising = points.every(
    (p, i) => i === 0 || (p[0] > (points[i - 1]?.[0] ?? 0) && p[1] > (points[i - 1]?.[1] ?? 0)),
  );
  return rising ? null : "each reading must be deeper and hold more than the one before";
}

/** @errors GEOMETRY with the reason */
export function checkShape(shape: VesselShape, field = "vessel"): Result<VesselShape> {
  let reason: string | null = null;
  if (shape.shape === "bowl") {
    if (shape.bottomDepthMm > shape.diameterMm / 2)
      reason = "a round bottom cannot be deeper than half its width";
    else if (shape.heightMm < shape.bottomDepthMm) reason = "it is lower than its own round bottom";
  } else if (shape.shape === "rect") {
    if (shape.cornerMm > shape.baseWidthMm / 2) reason = "its corners are rounder than it is wide";
  } else if (shape.shape === "table") reason = tableProblem(shape.points);
  const problem: Problem = {
    code: "GEOMETRY",
    field,
    value: shape,
    message: `These pot dimensions do not make a pot: ${reason}.`,
  };
  return reason ? refuse(problem) : ok(shape);
}

import sharp from "sharp";
import { ulid } from "ulid";
import { database, findRun, keepPhoto, photosBefore, referencePhotos } from "~/data";
import type { Route } from "./+types/photos";
import { sectionContext } from "../context.server";
import { problemsJson } from "./problem.server";

/** Longest side of what is kept, px; and the most pixels that are taken in: a picture of a few kilobytes can claim a wall. */
const LONGEST_PX = 1280;
const MOST_PIXELS = 60_000_000;
const QUALITY = 80;
const TAKEN: ReadonlySet<string> = new Set(["jpeg", "png", "webp"]);
/** So many earlier pictures stand beside. */
const BESIDE = 3;

const problem = (status: number, message: string) =>
  problemsJson(status, "The picture was not kept", [{ code: "NOT_UNDERSTOOD", field: "photo", message }]);

/** What the sauce is held against, and pictures of this step in earlier batches. */
export async function loader({ context, params, request }: Route.LoaderArgs): Promise<Response> {
  const { kitchenId, person } = context.get(sectionContext);
  const { db } = database();
  const run = person && (await findRun(db, kitchenId, params.runId));
  if (!run) return problem(404, "There is no such pot in this kitchen.");
  const stepId = new URL(request.url).searchParams.get("step") ?? "";
  const [held, before] = await Promise.all([
    referencePhotos(db, kitchenId, run.formulaId),
    photosBefore(db, { kitchenId, formulaId: run.formulaId, stepId, runId: run.id }, BESIDE),
  ]);
  return Response.json([
    ...held.map(({ photoId, what, at }) => ({ id: photoId, at: at.getTime(), what })),
    ...before.map(({ id, at }) => ({ id, at: at.getTime(), what: null })),
  ]);
}

/** Takes a picture of a pot: made small, turned upright, and without anything a camera writes beside it. */
export async function action({ context, params, request }: Route.ActionArgs): Promise<Response> {
  const { kitchenId, person } = context.get(sectionContext);
  if (!person) return problem(401, "Say who is cooking first.");
  const { db } = database();
  const run = await findRun(db, kitchenId, params.runId);
  if (!run) return problem(404, "There is no such pot in this kitchen.");
  const sent = Buffer.from(await request.arrayBuffer());
  try {
    const picture = sharp(sent, { limitInputPixels: MOST_PIXELS, failOn: "error" });
    const { format } = await picture.metadata();
    if (!format || !TAKEN.has(format)) return problem(415, "Take a JPEG, PNG or WebP picture.");
    const jpeg = await picture
      .rotate()
      .resize(LONGEST_PX, LONGEST_PX, { fit: "inside", withoutEnlargement: true })
      .flatten({ background: "#ffffff" })
      .jpeg({ quality: QUALITY, mozjpeg: true })
      .toBuffer();
    const id = ulid();
    const stepId = new URL(request.url).searchParams.get("step") ?? "";
    await keepPhoto(db, {
      id,
      kitchenId,
      runId: run.id,
      formulaId: run.formulaId,
      stepId: stepId.slice(0, 40),
      at: new Date(),
      personId: person.id,
      jpeg,
    });
    return Response.json({ id });
  } catch {
    return problem(
      422,
      "This is no picture that can be read, or it has more than 60 million points. Take another.",
    );
  }
}

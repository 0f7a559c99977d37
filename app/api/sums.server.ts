import { listSums } from "~/core/sums";

/** Every quick sum with the JSON Schema of its input and output. */
export function loader() {
  return Response.json(listSums(), { headers: { "Cache-Control": "public, max-age=300" } });
}

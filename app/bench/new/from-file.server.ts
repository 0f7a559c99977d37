import { data, redirect } from "react-router";
import { ulid } from "ulid";
import { requirePerson } from "../../people/person.server";
import type { Route } from "./+types/from-file";
import { bringIn, previewFile } from "./file.server";
import { formOf } from "../../request.server";

export function loader({ context, request }: Route.LoaderArgs) {
  requirePerson(context, request);
  return { newId: ulid() };
}

export async function action({ context, request }: Route.ActionArgs) {
  const section = requirePerson(context, request);
  const form = await formOf(request);
  const file = form.get("file");
  const pasted = String(form.get("text") ?? "");
  const text = file instanceof File && file.size > 0 ? await file.text() : pasted;
  const preview = await previewFile(section, text, String(form.get("id") ?? ""));
  if (form.get("intent") === "bring in" && preview.arrivals) {
    await bringIn(section, preview.arrivals);
    return redirect("/bench");
  }
  return data({ ...preview, pasted }, { status: preview.arrivals || preview.words ? 200 : 422 });
}

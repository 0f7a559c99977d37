import type { Problem } from "~/core/ground/result";

/** Refusals as problem+json (RFC 9457): `type`, `title`, `status`, `detail`, and all problems beside. */
const respond = (body: object, status: number) =>
  new Response(JSON.stringify(body), {
    status,
    headers: { "Content-Type": "application/problem+json; charset=utf-8" },
  });

export const problemJson = (status: number, title: string, detail: string): Response =>
  respond({ type: "about:blank", title, status, detail }, status);

export const problemsJson = (status: number, title: string, problems: readonly Problem[]): Response =>
  respond(
    {
      type: "about:blank",
      title,
      status,
      detail: problems[0]?.message ?? title,
      problem: problems[0],
      problems,
    },
    status,
  );

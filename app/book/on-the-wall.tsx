import { Link } from "react-router";

/** What somebody is told who read the code of a printed card. */
export function OnTheWall({
  printed,
  standard,
  version,
}: {
  printed: { readonly same: boolean };
  standard: { readonly versionId: string; readonly number: number } | null;
  version: { readonly versionId: string; readonly number: number; readonly state: string };
}) {
  const newer = standard !== null && standard.versionId !== version.versionId;
  const problem = !printed.same
    ? "The printed card is not what stands here any more: it was a draft and has been changed. Print it anew."
    : newer
      ? `The printed card is out of date: version ${standard.number} is the way it is done here now.`
      : version.state === "retired"
        ? "The printed card is retired: nobody is to cook it any more."
        : null;
  return problem ? (
    <p
      role="alert"
      className="no-print mb-4 rounded-xl border-2 border-beet bg-beet-wash px-4 py-3 text-lg font-semibold"
    >
      ✕ {problem}{" "}
      {newer && (
        <Link to={`/book/${standard.versionId}`} className="underline">
          To its card
        </Link>
      )}
    </p>
  ) : (
    <p
      role="status"
      className="no-print mb-4 rounded-xl border-2 border-sorrel px-4 py-3 text-lg font-semibold"
    >
      ✓ The printed card holds: version {version.number}, {version.state}.
    </p>
  );
}

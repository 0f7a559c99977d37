import { Link } from "react-router";

/**
 * A card and a batch say what they said when they were kept. What has changed in the kitchen since is said in one line.
 * @param card path of the card with its query, without the kitchen it is shown in
 */
export function SinceThen({
  since,
  asOfToday = false,
  card,
}: {
  since: readonly string[];
  asOfToday?: boolean;
  card: string;
}) {
  if (!since.length) return null;
  const shown = since.slice(0, MOST_SINCE).join(", ");
  const more = since.length - MOST_SINCE;
  const inToday = `${card}${card.includes("?") ? (card.endsWith("?") ? "" : "&") : "?"}in=today`;
  return (
    <p className="no-print mt-3 rounded-md bg-saffron-wash px-3 py-2 text-sm">
      <strong>{asOfToday ? "In the kitchen of today." : "As it was kept."}</strong> Changed in the kitchen
      since: {shown}
      {more > 0 && ` and ${more} more`}.{" "}
      <Link to={asOfToday ? card : inToday} className="text-copper underline underline-offset-4">
        {asOfToday ? "Show it as it was kept" : "Compare: show it in the kitchen of today"}
      </Link>
    </p>
  );
}

/** So many changes are named; the others are counted. */
const MOST_SINCE = 5;

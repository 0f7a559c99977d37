/** What came of a form: a refusal, or that it was kept. */
export function Said({
  reply,
}: {
  reply: { readonly problem: string | null; readonly said: string | null } | undefined;
}) {
  if (!reply) return null;
  return reply.problem ? (
    <p role="alert" className="mt-4 font-semibold text-beet">
      {reply.problem}
    </p>
  ) : (
    <p role="status" className="mt-4 font-semibold text-sorrel">
      ✓ {reply.said}
    </p>
  );
}

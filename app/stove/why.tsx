/** Roles that are still learning the station. */
const LEARNING = /commis|apprentice|trainee|stagiaire|learner|student/i;

/** Why a step is done so: open for who learns, one tap away for who knows. */
export function Why({ why, role }: { why: string; role: string }) {
  return (
    <details open={LEARNING.test(role)} className="rounded-lg border border-night-rule px-3">
      <summary className="flex min-h-14 cursor-pointer items-center text-lamp-faded">Why?</summary>
      <p className="pb-2">{why}</p>
    </details>
  );
}

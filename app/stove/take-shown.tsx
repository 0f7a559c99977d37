import { type Shown, shownInWords } from "./shown";

/** A reading that a connected instrument offers. */
export function TakeShown({
  shown,
  instrument,
  onTake,
}: {
  shown: readonly Shown[];
  instrument: Shown["instrument"];
  onTake: (typed: string) => void;
}) {
  const here = shown.filter(one => one.instrument === instrument);
  if (!here.length) return null;
  return (
    <span className="flex flex-wrap gap-2">
      {here.map(one => (
        <button
          key={one.name}
          type="button"
          onClick={() => onTake(String(one.value))}
          className="min-h-14 rounded-xl border-2 border-leaf px-4 text-left font-bold text-leaf hover:border-ember"
        >
          {one.name} shows {shownInWords(one)}
          <span className="block text-sm font-normal">take it</span>
        </button>
      ))}
    </span>
  );
}

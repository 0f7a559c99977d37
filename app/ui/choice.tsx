/** One of a few words, under its label. */
export function Choice<T extends string>({
  label,
  value,
  options,
  onPick,
}: {
  label: string;
  value: T;
  options: readonly (readonly [T, string])[];
  onPick: (value: T) => void;
}) {
  return (
    <label className="text-xs text-faded">
      {label}
      <select
        value={value}
        onChange={e => onPick(e.currentTarget.value as T)}
        className="block h-8.5 rounded-md border border-rule bg-enamel px-2 text-base text-ink"
      >
        {options.map(([key, words]) => (
          <option key={key} value={key}>
            {words}
          </option>
        ))}
      </select>
    </label>
  );
}

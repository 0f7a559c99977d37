/** The mark: a pot in section with its liquid. */
export function Wordmark({ small = false }: { small?: boolean }) {
  return (
    <span className="inline-flex items-center gap-2.5 font-display font-bold">
      <svg aria-hidden="true" viewBox="0 0 32 32" className={small ? "size-6" : "size-8"}>
        <path
          d="M5 6v15a5 5 0 0 0 5 5h12a5 5 0 0 0 5-5V6"
          fill="none"
          stroke="currentColor"
          strokeWidth="3"
          strokeLinecap="round"
        />
        <path
          d="M8.500 14h15v7a1.500 1.500 0 0 1-1.500 1.500H10A1.500 1.500 0 0 1 8.500 21z"
          fill="#a9502a"
        />
      </svg>
      <span className={small ? "text-lg" : "text-2xl"}>Hondaro</span>
    </span>
  );
}

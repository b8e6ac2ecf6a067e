/** How much an entry shows a principle: up to three slanted bars, and a corner where there is a note. */
export function BiteMark({ strength, hasNote }: { strength: number; hasNote: boolean }) {
  return (
    <svg width="26" height="30" aria-hidden="true" className="mx-auto block" data-strength={strength}>
      {Array.from({ length: strength }, (_, at) => (
        <path key={at} d={`M${String(5 + at * 6.5)} 25l5 -16`} stroke="var(--river)" strokeWidth={3.6} strokeLinecap="round" />
      ))}
      {hasNote ? <path d="M19 1h6v6z" fill="var(--ink)" /> : null}
    </svg>
  );
}

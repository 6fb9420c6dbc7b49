/** Two bars: something waits. A word goes with it. */
export function HoldMark() {
  return (
    <svg fill="var(--chalk-deep)" width="16" height="16" viewBox="0 0 16 16" aria-hidden="true">
      <rect x="2" y="1" width="4" height="14" rx="1" />
      <rect x="10" y="1" width="4" height="14" rx="1" />
    </svg>
  );
}

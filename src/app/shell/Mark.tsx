/** The app's sign: a lap with its seam. */
export function Mark({ size = 20 }: { size?: number }) {
  return (
    <svg viewBox="0 0 20 20" width={size} height={size} aria-hidden>
      <path d="M11.6 2.2a8 8 0 1 1-3.2 0" fill="none" stroke="var(--time)" strokeWidth="2" strokeLinecap="round" />
      <circle cx="10" cy="10" r="2.4" fill="var(--text)" />
    </svg>
  );
}

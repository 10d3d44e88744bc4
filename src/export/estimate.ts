/**
 * Seconds left of a job from the times its frames took. The first frame includes setting up, so it counts only until
 * there are others; the mean follows slow changes of speed.
 */
export function remainingSeconds(frameMs: readonly number[], left: number): number | null {
  if (frameMs.length === 0) return null;
  const steady = frameMs.length > 1 ? frameMs.slice(1) : frameMs;
  const recent = steady.slice(-20);
  return (left * recent.reduce((sum, ms) => sum + ms, 0)) / recent.length / 1000;
}

/** A share in words that do not say none of a little. */
export const percent = (share: number): string => `${(share * 100).toFixed(share > 0 && share < 0.01 ? 2 : 0)} %`;

/** Frames in runs: 3–9, 14. */
export function runsOf(frames: readonly number[], join = 2): string {
  const runs: [number, number][] = [];
  for (const frame of frames) {
    const last = runs.at(-1);
    if (last && frame - last[1] <= join) last[1] = frame;
    else runs.push([frame, frame]);
  }
  return runs.map(([from, to]) => (from === to ? String(from) : `${from}–${to}`)).join(', ');
}

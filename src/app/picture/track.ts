/** The line time runs along: a rounded rectangle walked clockwise from the middle of its top side. Pixels, y down. */
export interface Track {
  x: number;
  y: number;
  width: number;
  height: number;
  radius: number;
}

interface Point {
  x: number;
  y: number;
}

const QUARTER = Math.PI / 2;

/** The stretches of the line in walking order, with their lengths. */
function stretches(track: Track): { length: number; at(share: number): Point }[] {
  const { x, y, width, height } = track;
  const r = Math.min(track.radius, width / 2, height / 2);
  const line = (x0: number, y0: number, x1: number, y1: number) => ({
    length: Math.hypot(x1 - x0, y1 - y0),
    at: (share: number): Point => ({ x: x0 + (x1 - x0) * share, y: y0 + (y1 - y0) * share }),
  });
  const arc = (cx: number, cy: number, start: number) => ({
    length: r * QUARTER,
    at: (share: number): Point => ({
      x: cx + r * Math.cos(start + share * QUARTER),
      y: cy + r * Math.sin(start + share * QUARTER),
    }),
  });
  const [right, bottom, middle] = [x + width, y + height, x + width / 2];
  return [
    line(middle, y, right - r, y),
    arc(right - r, y + r, -QUARTER),
    line(right, y + r, right, bottom - r),
    arc(right - r, bottom - r, 0),
    line(right - r, bottom, x + r, bottom),
    arc(x + r, bottom - r, QUARTER),
    line(x, bottom - r, x, y + r),
    arc(x + r, y + r, 2 * QUARTER),
    line(x + r, y, middle, y),
  ];
}

/** How long the line is. */
export function trackLength(track: Track): number {
  return stretches(track).reduce((sum, { length }) => sum + length, 0);
}

/** Where a phase is on the track. */
export function pointAt(track: Track, phase: number): Point {
  const parts = stretches(track);
  let left = (phase - Math.floor(phase)) * trackLength(track);
  for (const part of parts) {
    if (left <= part.length) return part.at(part.length > 0 ? left / part.length : 0);
    left -= part.length;
  }
  return parts[0].at(0);
}

/** Frames that follow one another, as shares of the lap: where each stretch begins, and how long it is. */
export function stretchesOf(there: ReadonlySet<number>, frames: number): { from: number; length: number }[] {
  const out: { from: number; length: number }[] = [];
  for (let frame = 0; frame < frames; frame++) {
    if (!there.has(frame)) continue;
    if (frame > 0 && there.has(frame - 1)) out[out.length - 1].length += 1 / frames;
    else out.push({ from: frame / frames, length: 1 / frames });
  }
  return out;
}

const STEPS = 720;

/** The phase whose place on the track is nearest to a point. */
export function phaseAt(track: Track, point: Point): number {
  const distance = (phase: number): number => {
    const p = pointAt(track, phase);
    return Math.hypot(p.x - point.x, p.y - point.y);
  };
  let best = 0;
  for (let i = 1; i < STEPS; i++) if (distance(i / STEPS) < distance(best / STEPS)) best = i;
  let step = 0.5 / STEPS;
  let phase = best / STEPS;
  for (let round = 0; round < 12; round++, step /= 2)
    for (const candidate of [phase - step, phase + step]) if (distance(candidate) < distance(phase)) phase = candidate;
  return phase - Math.floor(phase);
}

/** The whole line as an SVG path. */
export function trackPath({ x, y, width, height, radius }: Track): string {
  const r = Math.min(radius, width / 2, height / 2);
  const [right, bottom, middle] = [x + width, y + height, x + width / 2];
  return (
    `M${middle} ${y}H${right - r}A${r} ${r} 0 0 1 ${right} ${y + r}V${bottom - r}A${r} ${r} 0 0 1 ${right - r} ${bottom}` +
    `H${x + r}A${r} ${r} 0 0 1 ${x} ${bottom - r}V${y + r}A${r} ${r} 0 0 1 ${x + r} ${y}H${middle}`
  );
}

import { describe, expect, it } from 'vitest';
import { compareFrames, judge } from './pictureReport';

const W = 64;
const H = 48;
const FRAMES = 60;

/** A soft dot on a dim gradient; its place is a function of the phase. */
function picture(
  place: (phase: number) => [number, number],
  phase: number,
  also?: (put: (x: number, y: number, v: number) => void) => void,
): Float32Array {
  const out = new Float32Array(W * H * 4);
  const [cx, cy] = place(phase);
  for (let y = 0; y < H; y++)
    for (let x = 0; x < W; x++) {
      const v = 0.1 + 0.05 * Math.sin(x / 9) + 0.7 * Math.exp(-((x - cx) ** 2 + (y - cy) ** 2) / 40);
      out.fill(v, (y * W + x) * 4, (y * W + x) * 4 + 3);
    }
  also?.((x, y, v) => out.fill(v, (y * W + x) * 4, (y * W + x) * 4 + 3));
  return out;
}

function report(frame: (index: number) => Float32Array) {
  const frames = Array.from({ length: FRAMES }, (_, i) => frame(i));
  const compared = frames.map((here, i) =>
    compareFrames(frames[(i + FRAMES - 1) % FRAMES], here, frames[(i + 1) % FRAMES], W, H),
  );
  return judge({
    step: compared.map(({ step }) => step),
    residuals: compared.map(({ residual }) => residual),
    ...{ width: W, height: H, later: { share: 0, most: 0, mean: 0 }, twice: 0 },
  });
}

const circle = (phase: number): [number, number] => [
  32 + 16 * Math.cos(2 * Math.PI * phase),
  24 + 12 * Math.sin(2 * Math.PI * phase),
];

describe('picture half of the seam report', () => {
  it('a circle closes', () => {
    expect(report((i) => picture(circle, i / FRAMES))).toMatchObject({ verdict: 'closes', ok: true });
  });

  it('a still picture passes', () => {
    expect(report(() => picture(() => [20, 20], 0))).toMatchObject({ verdict: 'still', ok: true });
  });

  it('a dot that does not come back jumps', () => {
    const bad = report((i) => picture((p) => [12 + 40 * p, 24], i / FRAMES));
    expect(bad).toMatchObject({ verdict: 'jumps', ok: false });
    expect(bad.score).toBeGreaterThan(2.2);
  });

  it('a small difference at the join is seen: one degree of a turn too little', () => {
    // the lap lacks two frames' worth of its turn
    expect(report((i) => picture((p) => circle(p * (1 - 3 / FRAMES)), i / FRAMES)).ok).toBe(false);
  });

  it('one popping mote is seen, in its own block', () => {
    const bad = report((i) =>
      picture(circle, i / FRAMES, (put) => i < FRAMES / 2 && [4, 5, 6].forEach((x) => put(x, 40, 0.9))),
    );
    expect(bad).toMatchObject({ verdict: 'jumps', ok: false });
    expect(bad.worstBlock.slice(0, 2)).toEqual([1, 10]);
  });

  it('motion that stops at the join is seen, though nothing jumps', () => {
    // eased travel: the phase slows to a stand at the seam and runs evenly elsewhere
    const eased = (p: number): number => {
      const d = Math.min(p, 1 - p);
      const w = 0.05;
      const held = d < w ? (d * d * (2 - d / w)) / w : d;
      return p < 0.5 ? held : 1 - held;
    };
    const stopping = report((i) => picture((p) => circle(eased(p)), (i + 0.5) / FRAMES));
    expect(stopping).toMatchObject({ verdict: 'stops', ok: false });
  });

  it('a swaying motion that happens to turn at the join passes', () => {
    const sway = (p: number): [number, number] => [32 + 14 * Math.cos(2 * Math.PI * p), 24];
    expect(report((i) => picture(sway, i / FRAMES)).ok).toBe(true);
  });
});

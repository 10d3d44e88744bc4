import { describe, expect, it } from 'vitest';
import { hash4, unitFrom } from '../random/hash';
import { bandsOf, type Bands } from './bands';

const [WIDTH, HEIGHT] = [320, 180];
type Noise = (x: number, y: number, k: number) => number;
const none: Noise = () => 0;
const draw = (x: number, y: number, k: number): [number, number] => {
  const [a, b] = hash4(x, y, k, 7);
  return [unitFrom(a), unitFrom(b)];
};
/** Triangular, of two code values: what lets no moment of the error depend on the picture (Lipshitz, Wannamaker, Vanderkooy, 1992). */
const triangular: Noise = (x, y, k) => draw(x, y, k)[0] + draw(x, y, k)[1] - 1;
const grain: Noise = (x, y, k) => 8 * (draw(x, y, k)[0] - 0.5) + triangular(x, y, k + 5);

/** A picture of code values 0..255, rounded after noise. */
function judged(code: (x: number, y: number, k: number) => number, noise: Noise): Bands {
  const exact = new Float32Array(WIDTH * HEIGHT * 4).fill(1);
  const shown = new Uint8Array(WIDTH * HEIGHT * 4).fill(255);
  for (let y = 0; y < HEIGHT; y++)
    for (let x = 0; x < WIDTH; x++)
      for (let k = 0; k < 3; k++) {
        exact[((HEIGHT - 1 - y) * WIDTH + x) * 4 + k] = code(x, y, k) / 255;
        shown[(y * WIDTH + x) * 4 + k] = Math.max(0, Math.min(255, Math.round(code(x, y, k) + noise(x, y, k))));
      }
  return bandsOf(exact, shown, WIDTH, HEIGHT);
}

const dark = (x: number, y: number): number => 8 + (10 * x) / WIDTH + (3 * y) / HEIGHT;

describe('steps in gradients', () => {
  it('of a dark one are plain to see where values are only rounded, and not where they are dithered', () => {
    const rounded = judged(dark, none);
    expect(rounded.worst).toBeGreaterThan(2);
    expect(rounded.share).toBeGreaterThan(0.9);
    const dithered = judged(dark, triangular);
    expect(dithered.worstBare).toBeCloseTo(rounded.worstBare, 6);
    expect(dithered.worst).toBeLessThan(0.5);
    expect(dithered.share).toBe(0);
  });

  it('are not seen under grain either', () => expect(judged(dark, grain).worst).toBeLessThan(0.6));

  it('are there with half of the noise that would break them up, but less', () => {
    const half = judged(dark, (x, y, k) => 0.35 * (draw(x, y, k)[0] - 0.5)).worst;
    expect(half).toBeGreaterThan(1);
    expect(half).toBeLessThan(judged(dark, none).worst);
  });

  it('are stronger in the dark than in the light', () => {
    const at = (level: number): number => judged((x) => level + (10 * x) / WIDTH, none).worst;
    expect(at(10)).toBeGreaterThan(1.5 * at(180));
  });

  it('are not looked for where there is texture, where it is steep, or where nothing changes', () => {
    const texture = (x: number, y: number): number => 40 + 30 * draw(x, y, 3)[0];
    expect(judged(texture, none).worstBare).toBe(0);
    expect(judged((x) => 20 + (230 * x) / WIDTH, none).worstBare).toBe(0);
    expect(judged(() => 17.3, none).worstBare).toBe(0);
  });

  it('are found where they are', () => {
    const { seen, columns, rows } = judged((x, y) => (x < WIDTH / 2 ? 30 : dark(x, y)), none);
    const side = (right: boolean): number =>
      Math.max(
        ...seen.filter((_, i) => i % columns > columns / 2 + 1 === right && (right || i % columns < columns / 2 - 2)),
      );
    expect(seen).toHaveLength(columns * rows);
    expect(side(false)).toBe(0);
    expect(side(true)).toBeGreaterThan(2);
  });
});

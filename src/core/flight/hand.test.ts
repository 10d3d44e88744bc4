import { describe, expect, it } from 'vitest';
import { HAND_AXES, HANDS, handOver, type HandName, type HandOffset, type HandSpec } from './hand';

// Amplitudes and rates: common practice among camera operators, no published source.
describe('handheld', () => {
  const spec = (name: HandName, more: Partial<HandSpec> = {}): HandSpec => ({
    swings: HANDS[name].swings,
    speed: 1,
    seed: 3,
    regular: false,
    seconds: 20,
    ...more,
  });
  const steps = 4000;
  const track = (s: HandSpec, of: (offset: HandOffset) => number): number[] => {
    const at = handOver(s);
    return Array.from({ length: steps }, (_, i) => of(at(i / steps)));
  };
  const peak = (values: number[]): number => Math.max(...values.map(Math.abs));

  /** The centre of the power spectrum in Hz, and the share of power in its strongest harmonic. */
  function spectrum(values: number[], seconds: number): { centre: number; strongest: number } {
    let power = 0;
    let moment = 0;
    let most = 0;
    for (let n = 1; n < 120; n++) {
      let re = 0;
      let im = 0;
      values.forEach((v, i) => {
        re += v * Math.cos((2 * Math.PI * n * i) / steps);
        im += v * Math.sin((2 * Math.PI * n * i) / steps);
      });
      const here = re * re + im * im;
      power += here;
      moment += (n / seconds) * here;
      most = Math.max(most, here);
    }
    return { centre: moment / power, strongest: most / power };
  }

  it('standing: a peak of 3 cm aside and up', () => {
    expect(peak(track(spec('standing'), ({ position }) => position[0]))).toBeCloseTo(0.03, 3);
    expect(peak(track(spec('standing'), ({ position }) => position[1]))).toBeCloseTo(0.03, 3);
  });

  it('walking: 10 cm aside, 20 cm up, 1° on all axes', () => {
    expect(peak(track(spec('walking'), ({ position }) => position[0]))).toBeCloseTo(0.1, 3);
    expect(peak(track(spec('walking'), ({ position }) => position[1]))).toBeCloseTo(0.2, 3);
    for (const k of [0, 1, 2])
      expect((peak(track(spec('walking'), ({ rotation }) => rotation[k])) * 180) / Math.PI).toBeCloseTo(1, 1);
  });

  it.each([
    ['standing', 1],
    ['walking', 1.5],
  ] as const)('%s: the centre of its spectrum is within 20 % of %d Hz', (name, hz) => {
    const { centre } = spectrum(
      track(spec(name), ({ position }) => position[1]),
      20,
    );
    expect(centre / hz).toBeGreaterThan(0.8);
    expect(centre / hz).toBeLessThan(1.2);
  });

  it('each axis has an amplitude and a rate of its own', () => {
    const swings = Object.fromEntries(
      HAND_AXES.map((axis, i) => [axis, { amount: 0.01 * (i + 1), hz: 0.5 + 0.5 * i }]),
    ) as HandSpec['swings'];
    const at = spec('none', { swings, seconds: 30 });
    const axes = [0, 1, 2].flatMap((k) => [
      { values: track(at, ({ position }) => position[k]), amount: 0.01 * (k + 1), hz: 0.5 + 0.5 * k },
      {
        values: track(at, ({ rotation }) => (rotation[k] * 180) / Math.PI),
        amount: 0.01 * (k + 4),
        hz: 2 + 0.5 * k,
      },
    ]);
    for (const { values, amount, hz } of axes) {
      expect(peak(values) / amount).toBeCloseTo(1, 1);
      expect(spectrum(values, 30).centre / hz).toBeGreaterThan(0.8);
      expect(spectrum(values, 30).centre / hz).toBeLessThan(1.2);
    }
  });

  it('a regular pulse is one swing, a random one is not', () => {
    const of = (regular: boolean) =>
      spectrum(
        track(spec('walking', { regular }), ({ position }) => position[1]),
        20,
      ).strongest;
    expect(of(true)).toBeGreaterThan(0.999);
    expect(of(false)).toBeLessThan(0.7);
  });

  it('closes whatever its speed, seed and the length of the lap', () => {
    for (const more of [{ speed: 0.37 }, { seconds: 3.3 }, { seed: 99, speed: 2.1 }, { regular: true, seconds: 0.2 }]) {
      const at = handOver(spec('running', more));
      const [a, b] = [at(0.123), at(1.123)];
      a.position.forEach((v, i) => expect(b.position[i]).toBeCloseTo(v, 9));
      a.rotation.forEach((v, i) => expect(b.rotation[i]).toBeCloseTo(v, 9));
    }
  });
});

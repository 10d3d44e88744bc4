import { describe, expect, it } from 'vitest';
import type { Samples } from './facts';
import { lapOfSound, lapStart, type SoundCut } from './lap';

const HZ = 8000;
/** A tone of its own pitch, in as many seconds, whose phase has nothing to do with a lap. */
const tone = (seconds: number, pitch = 97.3): Samples => ({
  hz: HZ,
  channels: [0, 1].map((channel) =>
    Float32Array.from(
      { length: Math.round(seconds * HZ) },
      (_, i) => 0.5 * Math.sin(2 * Math.PI * ((pitch * i) / HZ + channel / 4)),
    ),
  ),
});
const cut = (more: Partial<SoundCut> = {}): SoundCut => ({ from: 0, gainDb: 0, blend: 0.2, ...more });
/** The greatest step from sample to sample, at the seam and anywhere else. */
const steps = ({ channels: [own] }: Samples): { seam: number; most: number } => {
  let most = 0;
  for (let i = 1; i < own.length; i++) most = Math.max(most, Math.abs(own[i] - own[i - 1]));
  return { seam: Math.abs(own[0] - own[own.length - 1]), most };
};

describe('a sound cut to a lap', () => {
  it('goes on at the seam as anywhere, by what follows the lap, or by what precedes it', () => {
    const sound = tone(5);
    const plain = sound.channels[0].slice(0, 2 * HZ);
    // cut without more it clicks
    expect(Math.abs(plain[0] - plain[plain.length - 1])).toBeGreaterThan(0.15);
    for (const from of [0, 1.3, 2.99]) {
      const lap = lapOfSound(sound, cut({ from }), 2, 2 * HZ);
      const { seam, most } = steps(lap);
      expect([from, seam <= most, most < 0.06]).toEqual([from, true, true]);
    }
    // its end is not reached: all but what is blended is as it was
    const lap = lapOfSound(sound, cut({ from: 1.3 }), 2, 2 * HZ);
    expect(lap.channels[0][HZ]).toBe(sound.channels[0][Math.round(2.3 * HZ)]);
    expect(lap.channels).toHaveLength(2);
  });

  it('one that begins at its start and is as long as the lap comes and goes in a moment', () => {
    const { channels } = lapOfSound(tone(2), cut(), 2, 2 * HZ);
    expect(channels[0][0]).toBe(0);
    expect(Math.abs(channels[0][2 * HZ - 1])).toBeLessThan(0.02);
    expect(channels[0][HZ]).toBe(tone(2).channels[0][HZ]);
  });

  it('one that is shorter is heard again and again, and still closes', () => {
    const lap = lapOfSound(tone(0.75), cut({ from: 0.25 }), 2, 2 * HZ);
    const [own] = lap.channels;
    expect(own[100]).toBeCloseTo(own[100 + 0.5 * HZ], 9);
    expect(own[100]).toBeCloseTo(own[100 + 1.5 * HZ], 9);
    const { seam, most } = steps(lap);
    expect(seam).toBeLessThanOrEqual(most);
  });

  it('is louder by decibels', () => {
    const at = (gainDb: number): number => lapOfSound(tone(5), cut({ gainDb }), 2, 2 * HZ).channels[0][5000];
    expect(at(-6) / at(0)).toBeCloseTo(0.5012, 4);
    expect(at(20) / at(0)).toBeCloseTo(10, 4);
  });

  it('laps of no whole number of samples never drift', () => {
    const seconds = 250 * (1001 / 24000);
    const starts = Array.from({ length: 9 }, (_, lap) => lapStart(lap, seconds, 44_100));
    expect(starts[8]).toBe(Math.round(8 * seconds * 44_100));
    const lengths = starts.slice(1).map((at, i) => at - starts[i]);
    expect(Math.max(...lengths) - Math.min(...lengths)).toBeLessThanOrEqual(1);
  });

  it('where there is none it is silent', () => {
    const none = lapOfSound({ hz: HZ, channels: [new Float32Array(0)] }, cut(), 1, HZ);
    expect(none.channels[0].every((v) => v === 0)).toBe(true);
  });
});

import { describe, expect, it } from 'vitest';
import { soundFacts, soundSamples } from './sound';

const HZ = 8000;
/** A WAV file of 16 bits: in each channel a sample is its number, and the channel's thousands. */
function wav(seconds: number, channels: number): Blob {
  const samples = seconds * HZ;
  const bytes = new Uint8Array(44 + samples * channels * 2);
  const view = new DataView(bytes.buffer);
  const text = (at: number, letters: string): void => bytes.set(new TextEncoder().encode(letters), at);
  text(0, 'RIFF');
  view.setUint32(4, bytes.length - 8, true);
  text(8, 'WAVEfmt ');
  const head = [16, 1 | (channels << 16), HZ, HZ * channels * 2, (channels * 2) | (16 << 16)];
  head.forEach((v, i) => view.setUint32(16 + 4 * i, v, true));
  text(36, 'data');
  view.setUint32(40, samples * channels * 2, true);
  for (let i = 0; i < samples; i++)
    for (let k = 0; k < channels; k++) view.setInt16(44 + (i * channels + k) * 2, (i % 10_000) + k * 1000, true);
  return new Blob([bytes]);
}

describe('a sound file', () => {
  it('says how long it is, and of how many channels', async () => {
    expect(await soundFacts(wav(3, 2), 'a.wav')).toEqual({ name: 'a.wav', seconds: 3, channels: 2, hz: HZ });
  });

  it('gives any stretch of its samples, to the sample', async () => {
    for (const [from, to] of [
      [0, 0.5],
      [0.1234, 0.9],
      [0.75, 4],
    ]) {
      const { hz, channels } = await soundSamples(wav(1, 2), 'a.wav', from, to);
      const first = Math.round(from * HZ);
      expect(hz).toBe(HZ);
      expect(channels.map(({ length }) => length)).toEqual([0, 1].map(() => Math.min(HZ, Math.round(to * HZ)) - first));
      channels.forEach((own, k) =>
        [0, 1, 777, own.length - 1].forEach((i) =>
          expect(Math.abs(own[i] * 32_768 - (first + i + k * 1000))).toBeLessThan(0.51),
        ),
      );
    }
  });

  it('is refused in words where it is none', async () => {
    await expect(soundFacts(new Blob(['RIFF....WAVEfmt ']), 'odd.wav')).rejects.toMatchObject({
      message: expect.stringContaining('“odd.wav” is damaged') as string,
    });
  });
});

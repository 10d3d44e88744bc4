import { ALL_FORMATS, AudioSampleSink, BlobSource, Input, type InputAudioTrack } from 'mediabunny';
import type { Samples, SoundFacts } from '../../core/sound/facts';
import { Trouble } from '../../core/trouble';

const damaged = (name: string): Trouble => new Trouble('refused', `“${name}” is damaged: it cannot be read as a sound`);

/** Longest that a sound may be, in seconds, and most channels. */
const [MOST_SECONDS, MOST_CHANNELS] = [3600, 8];

async function withTrack<T>(blob: Blob, name: string, use: (track: InputAudioTrack) => Promise<T>): Promise<T> {
  const input = new Input({ source: new BlobSource(blob), formats: ALL_FORMATS });
  try {
    const track = await input.getPrimaryAudioTrack();
    if (!track) throw new Trouble('refused', `“${name}” holds no sound`);
    return await use(track);
  } catch (error) {
    throw error instanceof Trouble ? error : damaged(name);
  } finally {
    input.dispose();
  }
}

/** What is known of a sound: WAV, MP3, FLAC, Ogg, AAC or M4A. @throws Trouble `refused`, in words */
export const soundFacts = (blob: Blob, name: string): Promise<SoundFacts> =>
  withTrack(blob, name, async (track) => {
    const seconds = await track.computeDuration();
    const [channels, hz] = [await track.getNumberOfChannels(), await track.getSampleRate()];
    if (!(seconds > 0) || !(hz > 0)) throw damaged(name);
    if (seconds > MOST_SECONDS)
      throw new Trouble('refused', `“${name}” lasts ${Math.round(seconds / 60)} minutes`, {
        would: 'Bring in an hour at most.',
      });
    if (channels > MOST_CHANNELS)
      throw new Trouble('refused', `“${name}” has ${channels} channels; the most is ${MOST_CHANNELS}`);
    return { name, seconds, channels, hz };
  });

/** Whether this browser decodes a sound. */
export const canDecodeSound = (blob: Blob, name: string): Promise<boolean> =>
  withTrack(blob, name, (track) => track.canDecode());

/**
 * The samples of a stretch of a sound; what is before its beginning or after its end is left out.
 * @param from, to seconds
 * @throws Trouble `refused` where it cannot be decoded
 */
export const soundSamples = (blob: Blob, name: string, from: number, to: number): Promise<Samples> =>
  withTrack(blob, name, async (track) => {
    const [count, hz] = [await track.getNumberOfChannels(), await track.getSampleRate()];
    if (!(await track.canDecode())) throw new Trouble('refused', `this browser cannot decode “${name}”; WAV works`);
    const begins = Math.max(0, Math.round(from * hz));
    const ends = Math.round(to * hz);
    const rows = Array.from({ length: count }, () => [] as Float32Array[]);
    let next = begins;
    for await (const sample of new AudioSampleSink(track).samples(from, to)) {
      // samples are counted from the sound's beginning, however its packets are cut
      const at = Math.round(sample.timestamp * hz);
      const [skip, stop] = [Math.max(0, next - at), Math.min(sample.numberOfFrames, ends - at)];
      if (stop > skip) {
        for (let channel = 0; channel < count; channel++) {
          const own = new Float32Array(sample.allocationSize({ planeIndex: channel, format: 'f32-planar' }) / 4);
          sample.copyTo(own, { planeIndex: channel, format: 'f32-planar' });
          rows[channel].push(own.subarray(skip, stop));
        }
        next = at + stop;
      }
      sample.close();
    }
    return { hz, channels: rows.map(joined) };
  });

function joined(parts: readonly Float32Array[]): Float32Array {
  const out = new Float32Array(parts.reduce((sum, { length }) => sum + length, 0));
  let at = 0;
  for (const part of parts) {
    out.set(part, at);
    at += part.length;
  }
  return out;
}

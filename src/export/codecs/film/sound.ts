import { AudioSample, AudioSampleSource, getFirstEncodableAudioCodec, type AudioCodec } from 'mediabunny';
import { lapOfSound, lapStart } from '../../../core/sound/lap';
import type { Samples } from '../../../core/sound/facts';
import { soundSamples } from '../../../formats/sound/sound';
import type { Settings } from '../codec';
import { filmHz } from './hz';

/** Bits a second of a sound. Common practice, no published source. */
const BITRATE = 192_000;
/** Samples that are handed on at a time. */
const CHUNK = 4800;
/** Two is what films are heard with. */
const MOST_CHANNELS = 2;

/** What sounds are encoded as in a film, the first that this browser can do. */
const CODECS: Readonly<Record<'mp4' | 'webm', AudioCodec[]>> = { mp4: ['aac', 'opus'], webm: ['opus'] };

const lasts = (settings: Settings): number => settings.frames.length / filmHz(settings);

/** A sound as a track of a film. */
export interface SoundTrack {
  source: AudioSampleSource;
  /** adds what is heard before a moment of the film, in seconds, and has not been added */
  upTo(seconds: number): Promise<void>;
}

/** Why a delivery cannot have its sound; null where it has none, or can. */
export async function soundRefusal(settings: Settings, holder: 'mp4' | 'webm'): Promise<string | null> {
  const { sound } = settings.delivery;
  if (!sound) return null;
  if (!settings.sound) return `the sound “${sound.name}” is not here: bring it in again, or take it away`;
  if (!('AudioEncoder' in globalThis) || !(await getFirstEncodableAudioCodec(CODECS[holder], { bitrate: BITRATE })))
    return 'this browser has no encoder of sound; without it the film can be made';
  return null;
}

/** The sound of a delivery, cut to its lap; null where it has none. @throws Trouble in words where it cannot be read */
export async function soundTrack(settings: Settings, holder: 'mp4' | 'webm'): Promise<SoundTrack | null> {
  const { sound, soundFrom, soundGain, soundBlend, repeats } = settings.delivery;
  const { sound: blob } = settings;
  const codec = await getFirstEncodableAudioCodec(CODECS[holder], { bitrate: BITRATE });
  if (!sound || !blob || !codec) return null;
  const seconds = lasts(settings);
  // a part of the lap is heard with its part of the sound
  const begins = soundFrom + settings.delivery.first / filmHz(settings);
  const early = Math.max(0, begins - soundBlend);
  const { hz, channels } = await soundSamples(blob, sound.name, early, begins + seconds + soundBlend + 0.1);
  const heard: Samples = { hz, channels: channels.slice(0, MOST_CHANNELS) };
  const cut = { from: begins - early, gainDb: soundGain, blend: soundBlend };
  // what encoders of Opus work at
  const source = new AudioSampleSource({ codec, bitrate: BITRATE, transform: { sampleRate: 48_000 } });
  let at = 0;
  let lap = { number: -1, samples: heard };
  const end = lapStart(repeats, seconds, hz);
  return {
    source,
    async upTo(until) {
      const stop = Math.min(end, Math.round(until * hz));
      while (at < stop) {
        let number = Math.max(0, lap.number);
        while (lapStart(number + 1, seconds, hz) <= at) number++;
        const [first, next] = [lapStart(number, seconds, hz), lapStart(number + 1, seconds, hz)];
        if (lap.number !== number) lap = { number, samples: lapOfSound(heard, cut, seconds, next - first) };
        const count = Math.min(CHUNK, stop - at, next - at);
        const data = new Float32Array(count * heard.channels.length);
        lap.samples.channels.forEach((own, k) => data.set(own.subarray(at - first, at - first + count), k * count));
        const sample = new AudioSample({
          ...{ data, format: 'f32-planar', sampleRate: hz, timestamp: at / hz },
          numberOfChannels: heard.channels.length,
        });
        await source.add(sample);
        sample.close();
        at += count;
      }
    },
  };
}

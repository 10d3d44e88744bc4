import {
  ALL_FORMATS,
  BlobSource,
  EncodedPacketSink,
  Input,
  type InputVideoTrack,
  type VideoSample,
  VideoSampleSink,
} from 'mediabunny';
import { filmHz } from './hz';
import { lumaCells, rgbaCells, shows } from '../../trace';
import type { FrameFacts, Settings, Verified } from '../codec';

/** Decodes every picture of a track and looks which is not the frame that was rendered. @returns its number, or null; how many could be looked at */
async function lookAt(
  track: InputVideoTrack,
  { width, height }: Settings,
  traces: readonly FrameFacts[],
): Promise<{ wrong: number | null; seen: number }> {
  if (!(await track.canDecode())) return { wrong: null, seen: 0 };
  let seen = 0;
  for await (const sample of new VideoSampleSink(track).samples()) {
    // laps after the first are the same again
    const trace = traces.at(seen % traces.length);
    const cells = await decodedCells(sample, width, height);
    sample.close();
    if (trace && !shows(cells, trace)) return { wrong: seen, seen };
    seen++;
  }
  return { wrong: null, seen };
}

async function decodedCells(sample: VideoSample, width: number, height: number): Promise<Float32Array> {
  if (sample.format === 'I420P10') {
    const bytes = new Uint8Array(sample.allocationSize());
    const [{ offset, stride }] = await sample.copyTo(bytes);
    const plane = new Uint16Array(bytes.buffer, offset, (stride / 2) * height);
    return lumaCells(plane, stride / 2, width, height, 4);
  }
  if (sample.format === 'I420' || sample.format === 'NV12') {
    const bytes = new Uint8Array(sample.allocationSize());
    const [{ offset, stride }] = await sample.copyTo(bytes);
    return lumaCells(bytes.subarray(offset), stride, width, height);
  }
  const bytes = new Uint8Array(sample.allocationSize({ format: 'RGBA' }));
  await sample.copyTo(bytes, { format: 'RGBA' });
  return rgbaCells(bytes, width, height);
}

/** The frame of the lap that stands at a place of a film. */
export const frameOf = ({ frames }: Settings, at: number): number => frames[at % frames.length];

/** How far a sound may be longer or shorter than its film, in seconds: a packet of it. */
const MOST_APART = 0.06;

/** Whether a film has its sound, as long as it is. */
async function soundOf(input: Input, seconds: number): Promise<{ ok: boolean; says: string }> {
  const track = await input.getPrimaryAudioTrack();
  if (!track) return { ok: false, says: 'its sound is not in it' };
  const lasts = await track.computeDuration();
  return Math.abs(lasts - seconds) < MOST_APART
    ? { ok: true, says: ' with its sound' }
    : { ok: false, says: `its sound lasts ${lasts.toFixed(3)} s` };
}

/** Reads a video back: how many frames of how many seconds, and whether each is the one that was rendered. */
export async function verifyVideo(file: Blob, settings: Settings, traces: readonly FrameFacts[]): Promise<Verified> {
  const input = new Input({
    source: new BlobSource(file),
    formats: ALL_FORMATS,
  });
  const track = await input.getPrimaryVideoTrack();
  if (!track) return { frames: 0, seconds: 0, ok: false, says: 'the file holds no video' };
  let frames = 0;
  for await (const _ of new EncodedPacketSink(track).packets()) frames++;
  const seconds = await track.computeDuration();
  const count = settings.frames.length * settings.delivery.repeats;
  const wanted = count / filmHz(settings);
  // WebM counts in milliseconds
  const ok = frames === count && Math.abs(seconds - wanted) < 0.0015;
  const says = `${frames} frames, ${seconds.toFixed(3)} s`;
  if (!ok)
    return {
      frames,
      seconds,
      ok,
      says: `${says}, but ${count} frames and ${wanted.toFixed(3)} s were asked for`,
    };
  const heard = settings.delivery.sound ? await soundOf(input, wanted) : { ok: true, says: '' };
  if (!heard.ok) return { frames, seconds, ok: false, says: `${says}, but ${heard.says}` };
  const { wrong, seen } = await lookAt(track, settings, traces);
  if (wrong !== null || (seen > 0 && seen !== frames))
    return {
      frames,
      seconds,
      ok: false,
      says: `${says}, but frame ${frameOf(settings, wrong ?? seen)} is not the picture that was rendered`,
    };
  return {
    frames,
    seconds,
    ok,
    says:
      seen > 0
        ? `${says}${heard.says}, each as it was rendered`
        : `${says}; this browser cannot decode it, so the pictures were not looked at`,
  };
}

import {
  ALL_FORMATS,
  BlobSource,
  EncodedPacketSink,
  Input,
  type InputVideoTrack,
  type VideoSample,
  VideoSampleSink,
} from 'mediabunny';
import { lumaCells, rgbaCells, shows, type FrameTrace } from '../../trace';
import type { SinkSettings, Verified } from '../codec';

/** Decodes every picture of a track and looks which is not the frame that was rendered. @returns its number, or null; how many could be looked at */
async function lookAt(
  track: InputVideoTrack,
  { width, height }: SinkSettings,
  traces: readonly FrameTrace[],
): Promise<{ wrong: number | null; seen: number }> {
  if (!(await track.canDecode())) return { wrong: null, seen: 0 };
  let seen = 0;
  for await (const sample of new VideoSampleSink(track).samples()) {
    const trace = traces.at(seen);
    const cells = await decodedCells(sample, width, height);
    sample.close();
    if (trace && !shows(cells, trace)) return { wrong: seen, seen };
    seen++;
  }
  return { wrong: null, seen };
}

async function decodedCells(sample: VideoSample, width: number, height: number): Promise<Float32Array> {
  if (sample.format === 'I420' || sample.format === 'NV12') {
    const bytes = new Uint8Array(sample.allocationSize());
    const [{ offset, stride }] = await sample.copyTo(bytes);
    return lumaCells(bytes.subarray(offset), stride, width, height);
  }
  const bytes = new Uint8Array(sample.allocationSize({ format: 'RGBA' }));
  await sample.copyTo(bytes, { format: 'RGBA' });
  return rgbaCells(bytes, width, height);
}

/** Reads a video back: how many frames of how many seconds, and whether each is the one that was rendered. */
export async function verifyVideo(
  file: Blob,
  settings: SinkSettings,
  traces: readonly FrameTrace[],
): Promise<Verified> {
  const input = new Input({
    source: new BlobSource(file),
    formats: ALL_FORMATS,
  });
  const track = await input.getPrimaryVideoTrack();
  if (!track) return { frames: 0, seconds: 0, ok: false, says: 'the file holds no video' };
  let frames = 0;
  for await (const _ of new EncodedPacketSink(track).packets()) frames++;
  const seconds = await track.computeDuration();
  const wanted = (settings.count * settings.rate.den) / settings.rate.num;
  // WebM counts in milliseconds
  const ok = frames === settings.count && Math.abs(seconds - wanted) < 0.0015;
  const says = `${frames} frames, ${seconds.toFixed(3)} s`;
  if (!ok)
    return {
      frames,
      seconds,
      ok,
      says: `${says}, but ${settings.count} frames and ${wanted.toFixed(3)} s were asked for`,
    };
  const { wrong, seen } = await lookAt(track, settings, traces);
  if (wrong !== null || (seen > 0 && seen !== frames))
    return {
      frames,
      seconds,
      ok: false,
      says: `${says}, but frame ${settings.first + (wrong ?? seen)} is not the picture that was rendered`,
    };
  return {
    frames,
    seconds,
    ok,
    says:
      seen > 0
        ? `${says}, each as it was rendered`
        : `${says}; this browser cannot decode it, so the pictures were not looked at`,
  };
}

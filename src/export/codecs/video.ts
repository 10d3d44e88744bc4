import {
  ALL_FORMATS,
  BlobSource,
  BufferTarget,
  canEncodeVideo,
  EncodedPacketSink,
  Input,
  type InputVideoTrack,
  Mp4OutputFormat,
  Output,
  VideoSample,
  VideoSampleSink,
  VideoSampleSource,
  WebMOutputFormat,
} from 'mediabunny';
import { rateHz } from '../../core/time/lap';
import { Trouble } from '../../core/trouble';
import { lumaCells, rgbaCells, shows, type FrameTrace } from '../trace';
import { i420Bytes, toI420Into, VIDEO_COLOUR } from '../yuv';
import type { ExportCodec, FrameSink, SinkSettings, Verified } from './codec';

/** Bits per pixel and frame. Common practice for dark, grainy material; no published source. */
const BITS: Record<SinkSettings['dataRate'], number> = { proof: 0.08, high: 0.25, master: 0.6 };

const bitrate = (s: SinkSettings): number =>
  Math.max(200_000, Math.round(s.width * s.height * rateHz(s.rate) * BITS[s.dataRate]));

interface Kind {
  codec: 'avc' | 'vp9';
  name: string;
  container: () => Mp4OutputFormat | WebMOutputFormat;
}

async function open(kind: Kind, settings: SinkSettings): Promise<FrameSink> {
  const { width, height, rate } = settings;
  const output = new Output({ format: kind.container(), target: new BufferTarget() });
  // a key frame at the start and every second, so that players can jump and repeat cleanly
  const source = new VideoSampleSource({
    codec: kind.codec,
    bitrate: bitrate(settings),
    keyFrameInterval: 1,
    latencyMode: 'quality',
  });
  output.addVideoTrack(source, { frameRate: rateHz(rate), maximumPacketCount: settings.count });
  await output.start();
  let index = 0;
  return {
    async add(rgba) {
      const planes = new Uint8Array(i420Bytes(width, height));
      toI420Into(planes, rgba, width, height);
      const sample = new VideoSample(planes, {
        format: 'I420',
        codedWidth: width,
        codedHeight: height,
        timestamp: (index * rate.den) / rate.num,
        duration: rate.den / rate.num,
        colorSpace: VIDEO_COLOUR,
      });
      index++;
      await source.add(sample);
      sample.close();
    },
    async finish() {
      await output.finalize();
      const { buffer } = output.target as BufferTarget;
      if (!buffer) throw new Trouble('not-written', 'the encoder gave nothing back');
      return new Uint8Array(buffer);
    },
    abandon: () => output.cancel(),
  };
}

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

async function verify(bytes: Uint8Array, settings: SinkSettings, traces: readonly FrameTrace[]): Promise<Verified> {
  const input = new Input({
    source: new BlobSource(new Blob([bytes as Uint8Array<ArrayBuffer>])),
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

const videoCodec = (kind: Kind): ExportCodec => ({
  async refusal(settings) {
    const { width, height } = settings;
    if (width % 2 || height % 2) return `${kind.name} needs even sizes; ${width}×${height} is not`;
    if (!('VideoEncoder' in globalThis)) return 'this browser has no video encoder; a PNG sequence works';
    if (!(await canEncodeVideo(kind.codec, { width, height, bitrate: bitrate(settings) })))
      return `this browser cannot encode ${kind.name} at ${width}×${height}; a smaller size or a PNG sequence works`;
    return null;
  },
  open: (settings) => open(kind, settings),
  verify,
});

export const mp4 = videoCodec({
  codec: 'avc',
  name: 'H.264',
  container: () => new Mp4OutputFormat({ fastStart: 'in-memory' }),
});

export const webm = videoCodec({ codec: 'vp9', name: 'VP9', container: () => new WebMOutputFormat() });

import {
  Output,
  type OutputFormat,
  StreamTarget,
  type StreamTargetChunk,
  VideoSample,
  VideoSampleSource,
} from 'mediabunny';
import { rateHz } from '../../../core/time/lap';
import type { ByteSink } from '../../bytes/sink';
import type { FrameSink, SinkSettings } from '../codec';
import { i420Bytes, toI420Into, VIDEO_COLOUR } from './yuv';

/** Bits per pixel and frame. Common practice for dark, grainy material; no published source. */
const BITS: Record<SinkSettings['dataRate'], number> = { proof: 0.08, high: 0.25, master: 0.6 };

/** Bits a second. */
export const bitrate = (s: SinkSettings): number =>
  Math.max(200_000, Math.round(s.width * s.height * rateHz(s.rate) * BITS[s.dataRate]));

/** Bytes are handed on in pieces of so many. */
const CHUNK = 1 << 20;

/** What a video is encoded with and held by. */
export interface Container {
  codec: 'avc' | 'vp9';
  /** of the encoding, as people call it */
  name: string;
  format: () => OutputFormat;
}

/** Begins a video that is written as it is encoded. */
export async function openVideo(kind: Container, settings: SinkSettings, out: ByteSink): Promise<FrameSink> {
  const { width, height, rate } = settings;
  const bytes = new WritableStream<StreamTargetChunk>({ write: ({ data, position }) => out.write(data, position) });
  const target = new StreamTarget(bytes, { chunked: true, chunkSize: CHUNK });
  const output = new Output({ format: kind.format(), target });
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
    finish: () => output.finalize(),
    abandon: () => output.cancel(),
  };
}

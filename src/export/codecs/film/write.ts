import {
  EncodedPacket,
  EncodedVideoPacketSource,
  NullTarget,
  Output,
  type OutputFormat,
  StreamTarget,
  type StreamTargetChunk,
  VideoSample,
  VideoSampleSource,
} from 'mediabunny';
import { withoutDates } from '../../../formats/isobmff';
import type { ByteSink } from '../../bytes/sink';
import { bytesOf, numbersOf, type Picture } from '../../picture';
import { traceOf, traceOfNumbers } from '../../trace';
import type { FrameFacts, Parts, PartSink, Settings } from '../codec';
import { filmHz } from './hz';
import { pack, unpack } from './packed';
import { soundTrack } from './sound';
import { i420Bytes, toI420Into, toTenBits, VIDEO_COLOUR } from './yuv';

/** Bits per pixel and frame. Common practice for dark, grainy material; no published source. */
const BITS = { proof: 0.08, high: 0.25, master: 0.6 } as const;

/** Bits a second. */
export function bitrate(settings: Settings): number {
  const { width, height, delivery } = settings;
  if (delivery.rate === 'own') return Math.round(delivery.megabits * 1e6);
  const bits = delivery.rate === 'quality' ? bitsForQuality(delivery.filmQuality) : BITS[delivery.rate];
  return Math.max(200_000, Math.round(width * height * filmHz(settings) * bits));
}

/** Bits per pixel that frames of a quality 1 … 100 usually need: a quarter at 75, as many again for every 20 more. Common practice, no published source. */
const bitsForQuality = (quality: number): number => BITS.high * 2 ** ((quality - 75) / 20);

/** The coarsest step of each encoding's quantizer (WebCodecs codec registry: AVC 0–51, VP9 and AV1 0–63). */
const COARSEST = { avc: 51, vp9: 63, av1: 63 } as const;
/** A codec string of each, to ask whether its encoder takes a quantizer. */
const PLAIN_CODEC = { avc: 'avc1.4d0034', vp9: 'vp09.00.51.08', av1: 'av01.0.12M.08' } as const;

/** What a frame is encoded with where a quality is held; null where a data rate is, or the encoder can do no other. */
async function quantizerFor(codec: Container['codec'], settings: Settings): Promise<VideoEncoderEncodeOptions | null> {
  const { width, height, delivery } = settings;
  if (delivery.rate !== 'quality') return null;
  const asked = { codec: PLAIN_CODEC[codec], width, height, bitrateMode: 'quantizer' } as const;
  const can = await VideoEncoder.isConfigSupported(asked).catch(() => null);
  if (can?.supported !== true || can.config?.bitrateMode !== 'quantizer') return null;
  return { [codec]: { quantizer: Math.round(((100 - delivery.filmQuality) / 100) * COARSEST[codec]) } };
}

/** Bytes are handed on in pieces of so many. */
const CHUNK = 1 << 20;

/** What a video is encoded with and held by. */
export interface Container {
  codec: 'avc' | 'vp9' | 'av1';
  /** of the encoding, as people call it */
  name: string;
  holder: 'mp4' | 'webm';
  /** @param onHead is given what the file says of itself, and where, when that is written */
  format: (onHead: (head: Uint8Array, at: number) => void) => OutputFormat;
}

/** Levels of VP9: luma samples a second, and in a picture ("VP9 Levels" of the WebM project; from memory). */
const VP9_LEVELS = [
  [10, 829_440, 36_864],
  [11, 2_764_800, 73_728],
  [20, 4_608_000, 122_880],
  [21, 9_216_000, 245_760],
  [30, 20_736_000, 552_960],
  [31, 36_864_000, 983_040],
  [40, 83_558_400, 2_228_224],
  [41, 160_432_128, 2_228_224],
  [50, 311_951_360, 8_912_896],
  [51, 588_251_136, 8_912_896],
  [52, 1_176_502_272, 8_912_896],
  [60, 1_176_502_272, 35_651_584],
  [61, 2_353_004_544, 35_651_584],
] as const;

/** The name of VP9 of ten bits for a size and rate, as "VP Codec ISO Media File Format Binding" has it. */
export function tenBitVp9(settings: Settings): string {
  const pixels = settings.width * settings.height;
  const level = VP9_LEVELS.find(([, rate, most]) => pixels <= most && pixels * filmHz(settings) <= rate)?.[0] ?? 62;
  return `vp09.02.${level}.10`;
}

/** What the encoder is asked for besides its codec. */
export const encoding = (settings: Settings): { bitrate: number; fullCodecString?: string } => ({
  bitrate: bitrate(settings),
  ...(settings.delivery.tenBits ? { fullCodecString: tenBitVp9(settings) } : {}),
});

/** What is kept of an encoded part. */
interface Head {
  config: Omit<VideoDecoderConfig, 'description'>;
  /** what decoders need besides, as base64 */
  description: string | null;
  keys: readonly boolean[];
}

const base64 = (source: AllowSharedBufferSource): string => {
  const bytes = ArrayBuffer.isView(source)
    ? new Uint8Array(source.buffer, source.byteOffset, source.byteLength)
    : new Uint8Array(source);
  return btoa(String.fromCharCode(...bytes));
};

/** A frame as the encoder takes it. */
function sampleOf(picture: Picture, { rate, each }: Settings, index: number, tenBits: boolean): VideoSample {
  const { width, height } = picture;
  const planes = tenBits
    ? toTenBits(numbersOf(picture).rgba, width, height)
    : toI420Into(new Uint8Array(i420Bytes(width, height)), bytesOf(picture), width, height);
  const seconds = (each.num * rate.den) / (each.den * rate.num);
  return new VideoSample(planes, {
    format: tenBits ? 'I420P10' : 'I420',
    codedWidth: width,
    codedHeight: height,
    timestamp: index * seconds,
    duration: seconds,
    colorSpace: VIDEO_COLOUR,
  });
}

/** Begins some frames that are encoded by an encoder of their own, from a key frame on. */
export async function openPart(kind: Container, settings: Settings): Promise<PartSink> {
  const { tenBits } = settings.delivery;
  const quantizer = await quantizerFor(kind.codec, settings);
  const keys: boolean[] = [];
  const encoded: Uint8Array<ArrayBuffer>[] = [];
  const frames: FrameFacts[] = [];
  let config: VideoDecoderConfig | null = null;
  // what it would write is thrown away: the packets are kept
  const output = new Output({ format: kind.format(() => undefined), target: new NullTarget() });
  const source = new VideoSampleSource({
    codec: kind.codec,
    ...encoding(settings),
    keyFrameInterval: 1e6,
    latencyMode: 'quality',
    ...(quantizer
      ? {
          onEncoderConfig(config: VideoEncoderConfig) {
            config.bitrateMode = 'quantizer';
            delete config.bitrate;
          },
        }
      : {}),
    onEncodedPacket(packet, meta) {
      config ??= meta?.decoderConfig ?? null;
      keys.push(packet.type === 'key');
      encoded.push(packet.data.slice());
    },
  });
  output.addVideoTrack(source, { frameRate: filmHz(settings), maximumPacketCount: settings.frames.length });
  await output.start();
  return {
    async add(picture) {
      const sample = sampleOf(picture, settings, frames.length, tenBits);
      const { width, height } = picture;
      frames.push(
        tenBits ? traceOfNumbers(numbersOf(picture).rgba, width, height, 0) : traceOf(bytesOf(picture), width, height),
      );
      await source.add(sample, quantizer ?? undefined);
      sample.close();
    },
    async finish() {
      await output.finalize();
      if (!config || encoded.length !== frames.length)
        throw new RangeError(`the encoder made ${encoded.length} frames of ${frames.length}`);
      const { description, ...rest } = config;
      const head: Head = { config: rest, description: description ? base64(description) : null, keys };
      return { bytes: pack({ head, frames: encoded }), frames };
    },
    abandon: () => output.cancel(),
  };
}

/** Puts encoded parts together to a film of so many laps. */
export async function joinParts(kind: Container, settings: Settings, parts: Parts, out: ByteSink): Promise<Blob> {
  const { rate, each, frames, delivery } = settings;
  const bytes = new WritableStream<StreamTargetChunk>({ write: ({ data, position }) => out.write(data, position) });
  const target = new StreamTarget(bytes, { chunked: true, chunkSize: CHUNK });
  let head: { bytes: Uint8Array<ArrayBuffer>; at: number } | null = null;
  const format = kind.format((own, at) => (head = { bytes: withoutDates(own), at }));
  const output = new Output({ format, target });
  const source = new EncodedVideoPacketSource(kind.codec);
  output.addVideoTrack(source, {
    frameRate: filmHz(settings),
    maximumPacketCount: frames.length * delivery.repeats,
  });
  const sound = await soundTrack(settings, kind.holder);
  if (sound)
    output.addAudioTrack(sound.source, {
      // a packet is a fiftieth of a second, or a little more than that of AAC
      maximumPacketCount: Math.ceil((frames.length * delivery.repeats * 50) / filmHz(settings)) + 50,
    });
  await output.start();
  const seconds = (index: number): number => (index * each.num * rate.den) / (each.den * rate.num);
  let index = 0;
  for (let lap = 0; lap < delivery.repeats; lap++)
    for (let part = 0; part < parts.count; part++) {
      const { head, frames: packets } = await unpack<Head>(await parts.at(part));
      const description =
        head.description === null ? null : Uint8Array.from(atob(head.description), (c) => c.charCodeAt(0));
      const decoderConfig = description ? { ...head.config, description } : head.config;
      for (const [i, data] of packets.entries()) {
        const packet = new EncodedPacket(data, head.keys[i] ? 'key' : 'delta', seconds(index), seconds(1));
        await source.add(packet, { decoderConfig });
        index++;
      }
      // both go on together, so that neither has to wait in memory for the other
      await sound?.upTo(seconds(index));
    }
  await output.finalize();
  const known = head as { bytes: Uint8Array<ArrayBuffer>; at: number } | null;
  if (known) await out.write(known.bytes, known.at);
  return out.finish();
}

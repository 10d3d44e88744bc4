import {
  BlobSource,
  EncodedPacketSink,
  Input,
  MP4,
  QTFF,
  VideoSampleSink,
  WEBM,
  type InputVideoTrack,
} from 'mediabunny';
import { MOST_FRAMES, type ClipFacts } from '../../core/clips';
import { MOST_PIXELS, MOST_SIDE } from '../../core/pictures/facts';
import type { Raster } from '../../core/pictures/raster';
import { rgbOf, type Luma, type Matrix, type Plane } from '../../core/pictures/yuv';
import { Trouble } from '../../core/trouble';

const FORMATS = [MP4, QTFF, WEBM];

/** Frames at the most between two that can be shown without others, as few decode for one as for all. */
const FAR = 300;

const damaged = (name: string): Trouble => new Trouble('refused', `“${name}” is damaged: it cannot be read as a clip`);

/** A clip that is open: its frames by number, the same in whatever order they are asked for. */
export class Clip {
  private sink: VideoSampleSink | null = null;
  /** frames as they come, from the one that was asked for last */
  private reel: AsyncGenerator<{ toVideoFrame(): VideoFrame; close(): void; timestamp: number }> | null = null;
  private next = -1;

  private constructor(
    readonly facts: Omit<ClipFacts, 'joins'>,
    private readonly input: Input,
    private readonly track: InputVideoTrack,
    /** when each frame begins, in seconds, in the order they are shown */
    private readonly times: readonly number[],
  ) {}

  /**
   * Opens a clip: MP4 or WebM.
   * @throws Trouble `refused` when it is none, holds no picture, or too much of one
   */
  static async open(blob: Blob, name: string): Promise<Clip> {
    const input = new Input({ source: new BlobSource(blob), formats: FORMATS });
    try {
      return await Clip.of(input, name);
    } catch (error) {
      input.dispose();
      throw error instanceof Trouble ? error : damaged(name);
    }
  }

  private static async of(input: Input, name: string): Promise<Clip> {
    const track = await input.getPrimaryVideoTrack();
    if (!track) throw new Trouble('refused', `“${name}” holds no moving picture`);
    const [width, height] = [await track.getDisplayWidth(), await track.getDisplayHeight()];
    if (!(width > 0 && height > 0)) throw damaged(name);
    if (Math.max(width, height) > MOST_SIDE || width * height > MOST_PIXELS)
      throw new Trouble('refused', `“${name}” is ${width} × ${height} pixels`, {
        would: `Bring it in at most ${MOST_SIDE} pixels a side.`,
      });
    const found: { at: number; lasts: number }[] = [];
    for await (const { timestamp, duration } of new EncodedPacketSink(track).packets(undefined, undefined, {
      metadataOnly: true,
    })) {
      if (found.length >= MOST_FRAMES)
        throw new Trouble('refused', `“${name}” has more than ${MOST_FRAMES} frames`, {
          would: 'Bring in a part of it.',
        });
      // what is before its beginning is not shown (edit lists)
      if (timestamp >= -1e-6) found.push({ at: timestamp, lasts: duration });
    }
    found.sort((a, b) => a.at - b.at);
    const times = found.map(({ at }) => at);
    const last = found.at(-1);
    if (!last) throw new Trouble('refused', `“${name}” has no frames`);
    const whole = last.at + last.lasts - times[0];
    const seconds = whole > 0 && Number.isFinite(whole) ? whole : times.length / 25;
    return new Clip({ name, width, height, frames: times.length, seconds }, input, track, times);
  }

  /** Why its frames cannot be shown here; null where they can. */
  async trouble(): Promise<Trouble | null> {
    if (await this.track.canDecode()) return null;
    return new Trouble('refused', `“${this.facts.name}” is in a form that this browser cannot show`, {
      received: (await this.track.getCodecParameterString()) ?? undefined,
      would: 'Bring it in as H.264, VP9 or AV1.',
    });
  }

  /**
   * Its frames from one on, in order, until the caller has enough. Ahead of what was asked for last they go on from there; elsewhere
   * they begin with the last before that need no others.
   * @throws Trouble `refused` when they cannot be decoded
   */
  async *from(frame: number): AsyncGenerator<[number, Raster]> {
    if (!this.reel || frame < this.next || frame - this.next > FAR) {
      await this.rewind();
      this.sink ??= new VideoSampleSink(this.track);
      this.reel = this.sink.samples(this.times[frame]);
      this.next = frame;
    }
    const { reel } = this;
    for (;;) {
      let sample;
      try {
        const step = await reel.next();
        sample = step.done ? null : step.value;
      } catch {
        this.reel = null;
        throw damaged(this.facts.name);
      }
      if (!sample) {
        this.reel = null;
        return;
      }
      const index = this.next++;
      const raster = index >= frame ? await pixelsOf(sample) : null;
      sample.close();
      if (raster) yield [index, raster];
      if (this.reel !== reel) return;
    }
  }

  private async rewind(): Promise<void> {
    const { reel } = this;
    this.reel = null;
    await reel?.return(undefined);
  }

  async close(): Promise<void> {
    await this.rewind();
    this.input.dispose();
  }
}

/** What browsers call the matrices of frames. */
const MATRICES: Readonly<Record<string, Matrix>> = {
  bt709: 'bt709',
  smpte170m: 'bt601',
  bt470bg: 'bt601',
  'bt2020-ncl': 'bt2020',
};
/** From so many rows on a frame that says no matrix is taken for one of BT.709: common practice, without a source. */
const HIGH = 720;

/** A frame of luma and colour differences in 8 bits, which browsers turn into red, green and blue less exactly than can be; null for others. */
async function lumaOf(frame: VideoFrame): Promise<Luma | null> {
  const { format, colorSpace, visibleRect } = frame;
  if ((format !== 'I420' && format !== 'NV12') || !visibleRect) return null;
  const { width, height } = visibleRect;
  const matrix = MATRICES[colorSpace.matrix ?? (height >= HIGH ? 'bt709' : 'smpte170m')];
  if (!(matrix as Matrix | undefined)) return null;
  const bytes = new Uint8Array(frame.allocationSize());
  const [luma, chroma, last] = await frame.copyTo(bytes);
  const plane = ({ offset, stride }: PlaneLayout, step = 1, more = 0): Plane => ({
    offset: offset + more,
    stride,
    step,
  });
  const [u, v] = format === 'I420' ? [plane(chroma), plane(last)] : [plane(chroma, 2), plane(chroma, 2, 1)];
  return { width, height, bytes, y: plane(luma), u, v, matrix, full: colorSpace.fullRange === true };
}

/** The pixels of a frame as they are shown, encoded sRGB. */
async function pixelsOf(sample: { toVideoFrame(): VideoFrame }): Promise<Raster> {
  const frame = sample.toVideoFrame();
  try {
    const { displayWidth: width, displayHeight: height } = frame;
    const whole = frame.visibleRect;
    // pixels that are not square, or a frame that is turned on its side, are drawn as they are shown
    if (whole?.width === width && whole.height === height) {
      const luma = await lumaOf(frame);
      if (luma) return rgbOf(luma);
    }
    const context = new OffscreenCanvas(width, height).getContext('2d', { willReadFrequently: true });
    if (!context) throw new RangeError('no canvas');
    context.drawImage(frame, 0, 0, width, height);
    return { width, height, rgba: context.getImageData(0, 0, width, height).data };
  } finally {
    frame.close();
  }
}

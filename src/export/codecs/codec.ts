import type { FrameLight } from '../light';
import type { Delivery } from '../../core/deliveries/form';
import type { Rate } from '../../core/time/lap';
import type { ByteSink } from '../bytes/sink';
import type { Picture } from '../picture';

/** What a codec is told of a delivery. */
export interface Settings {
  delivery: Delivery;
  /** of the piece's name, for those of the pictures */
  stem: string;
  /** of the lap; frames that are left out make the others longer */
  rate: Rate;
  /** frames of the lap that one that is shown takes the place of */
  each: { num: number; den: number };
  /** the frames that are drawn, by their numbers in the lap */
  frames: readonly number[];
  /** they are the whole lap, one after another */
  lap: boolean;
  /** the size they are drawn at */
  width: number;
  height: number;
  /** the file of its sound, where it names one that is here */
  sound?: Blob | null;
}

/** What is known of a frame as it was rendered, small: enough to tell it from any other, and from none. */
export interface FrameFacts {
  /** mean luma of each cell of a grid, 0 … 255, top row first */
  cells: readonly number[];
  /** checksum of its samples as they are written, where reading back must find the very same; else of its colours */
  sum: number;
  /** how bright it is, where it is a picture */
  light?: FrameLight;
}

/** Some frames that were encoded together, independent of all others. */
export interface Part {
  bytes: Uint8Array<ArrayBuffer>;
  frames: readonly FrameFacts[];
}

/** Takes the frames of a part in order. */
export interface PartSink {
  /** resolves when the next frame is welcome */
  add(picture: Picture): Promise<void>;
  finish(): Promise<Part>;
  /** gives up */
  abandon(): Promise<void>;
}

/** Parts that are there to be put together. */
export interface Parts {
  count: number;
  /** the bytes of one */
  at(part: number): Promise<Blob>;
  /** checksum of all its bytes */
  crcOf(part: number): number;
}

/** What reading the written file back found. */
export interface Verified {
  frames: number;
  seconds: number;
  ok: boolean;
  says: string;
}

/** How a format is written and read back: what it is, is in core/deliveries. One folder of `codecs/` each, and its name in list.ts. */
export interface ExportCodec {
  /** why this cannot be written, in words, or null. May ask the browser. */
  refusal(settings: Settings): Promise<string | null>;
  /** how many frames a part holds: what is lost at most when it is ended in the middle */
  partFrames(settings: Settings): number;
  /** how many parts that are one frame each may be on their way at once; one where it is not said */
  atOnce?(): number;
  /** Begins a part. The same frames are the same bytes, whatever was encoded before. */
  open(settings: Settings): Promise<PartSink>;
  /** Puts all parts together. @param whole opens the file that is written, where one is needed */
  join(settings: Settings, parts: Parts, whole: () => Promise<ByteSink>): Promise<Blob>;
  /** reads the file back and compares it with what was asked for, and every picture with the frame as it was rendered */
  verify(file: Blob, settings: Settings, frames: readonly FrameFacts[]): Promise<Verified>;
}

import type { Delivery } from '../../core/deliveries/form';
import type { FrameTrace } from '../trace';
import type { Rate } from '../../core/time/lap';

export interface SinkSettings {
  width: number;
  height: number;
  rate: Rate;
  /** frames that will be added */
  count: number;
  /** index of the first, for file names */
  first: number;
  dataRate: Delivery['rate'];
}

/** Takes finished frames in order and becomes a file. */
export interface FrameSink {
  /** RGBA bytes, top row first; resolves when the next frame is welcome */
  add(rgba: Uint8Array): Promise<void>;
  /** @returns the bytes of the file */
  finish(): Promise<Uint8Array>;
  /** gives up; nothing is kept */
  abandon(): Promise<void>;
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
  refusal(settings: SinkSettings): Promise<string | null>;
  open(settings: SinkSettings): Promise<FrameSink>;
  /** reads the bytes back and compares them with what was asked for, and every picture with the frame as it was rendered */
  verify(bytes: Uint8Array, settings: SinkSettings, traces: readonly FrameTrace[]): Promise<Verified>;
}

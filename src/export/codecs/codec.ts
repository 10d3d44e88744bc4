import type { Delivery } from '../../core/deliveries/form';
import type { ByteSink } from '../bytes/sink';
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
  /** white on clear instead of on black; only for what takes alpha */
  clear?: boolean;
}

/** Takes finished frames in order and writes them as a file. */
export interface FrameSink {
  /** RGBA bytes, top row first; resolves when the next frame is welcome */
  add(rgba: Uint8Array): Promise<void>;
  /** writes what is still to be written; the file is whole then */
  finish(): Promise<void>;
  /** gives up */
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
  /** @param out where the file is written, from its start on */
  open(settings: SinkSettings, out: ByteSink): Promise<FrameSink>;
  /** reads the file back and compares it with what was asked for, and every picture with the frame as it was rendered */
  verify(file: Blob, settings: SinkSettings, traces: readonly FrameTrace[]): Promise<Verified>;
}

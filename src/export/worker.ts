import * as Comlink from 'comlink';
import { deliveryFrames, type Delivery } from '../core/deliveries/form';
import { formatOf } from '../core/deliveries/formats';
import type { Piece } from '../core/piece/schema';
import { linesAlone } from '../core/world/linesAlone';
import { startEngine } from '../engine/client';
import { sayStarted } from '../engine/work/alive';
import { letTroublesCross } from '../engine/work/crossing';
import { openPlace, type Place } from './bytes/place';
import type { Verified } from './codecs/codec';
import { codecOf } from './codecs/registry';
import { remainingSeconds } from './estimate';
import { traceOf, type FrameTrace } from './trace';

export interface ExportProgress {
  done: number;
  of: number;
  /** seconds left, or null before anything is known */
  left: number | null;
}

export type ExportResult =
  | { state: 'done'; file: Blob; verified: Verified; seconds: number }
  | { state: 'cancelled'; done: number }
  | { state: 'refused'; says: string };

/**
 * Renders a delivery: one engine in a worker of its own draws frame after frame while this worker converts and encodes
 * the frame before.
 */
class ExportWorker {
  async run(
    piece: Piece,
    delivery: Delivery,
    place: Place,
    progress: (progress: ExportProgress) => void,
  ): Promise<ExportResult> {
    const { first, count } = deliveryFrames(delivery, piece.lap.frames);
    const { width, height } = delivery;
    const lines = delivery.shows === 'lines';
    const shown = lines ? linesAlone(piece) : piece;
    const clear = lines && delivery.clear && formatOf(delivery.format).takes.alpha;
    const settings = { width, height, rate: piece.lap.rate, count, first, dataRate: delivery.rate, clear };
    const codec = codecOf(delivery.format);
    const says = await codec.refusal(settings);
    if (says !== null) return { state: 'refused', says };
    const started = performance.now();
    const engine = startEngine();
    const frame = (index: number): Promise<Uint8Array> =>
      engine.api.pixels({ piece: shown, frameIndex: first + index, width, height, passes: Number(delivery.samples) });
    const out = await openPlace(place);
    const sink = await codec.open(settings, out);
    try {
      const times: number[] = [];
      const traces: FrameTrace[] = [];
      let last = performance.now();
      let next = frame(0);
      for (let i = 0; i < count; i++) {
        const pixels = await next;
        if (i + 1 < count) next = frame(i + 1);
        traces.push(traceOf(pixels, width, height));
        await sink.add(pixels);
        const now = performance.now();
        times.push(now - last);
        last = now;
        progress({ done: i + 1, of: count, left: remainingSeconds(times, count - i - 1) });
      }
      await sink.finish();
      const file = await out.finish();
      const verified = await codec.verify(file, settings, traces);
      return { state: 'done', file, verified, seconds: (performance.now() - started) / 1000 };
    } catch (error) {
      await sink.abandon().catch(() => undefined);
      await out.abandon().catch(() => undefined);
      throw error;
    } finally {
      engine.close();
    }
  }
}

export type ExportApi = ExportWorker;
letTroublesCross();
sayStarted(() => Comlink.expose(new ExportWorker()));

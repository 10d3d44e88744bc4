import * as Comlink from 'comlink';
import { cutOf, drawnSize, type Delivery } from '../core/deliveries/form';
import { formatOf, isDrawn } from '../core/deliveries/formats';
import type { Piece } from '../core/piece/schema';
import { missingFiles } from '../core/piece/files';
import { framePhase, lapSeconds } from '../core/time/lap';
import { givenCamera, givenWorld } from '../core/world/given';
import { givenRoutes, type GivenRoute } from '../core/world/givenRoutes';
import { linesAlone } from '../core/world/linesAlone';
import { fileBlob } from '../files/shelf';
import { takeIn } from '../files/taken';
import { startEngine } from '../engine/client';
import type { EngineApi, StillRequest } from '../engine/protocol';
import { sayStarted } from '../engine/work/alive';
import { letTroublesCross } from '../engine/work/crossing';
import type { Parts, Settings, Verified } from './codecs/codec';
import { namesOf } from './codecs/pictures/pictures';
import { codecOf } from './codecs/registry';
import type { Kept } from './kept/kept';
import { ownFiles } from './kept/ownFiles';
import { RemoteKept } from './kept/remote';
import { coveredByLight, cutPicture, everyOf, type NumberChannel, type Picture } from './picture';
import { renderDelivery, type ExportProgress } from './render';
import { asksOf, settingsOf } from './settings';

export type { ExportProgress } from './render';

/** Where finished parts are kept: in the browser's own files under the name of a job, or by the command line's server. */
export type Keeping = { own: string } | { at: string };

export type ExportResult =
  | { state: 'done'; file: Blob; verified: Verified; remarks: string[]; seconds: number; found: number }
  | { state: 'stopped'; done: number }
  | { state: 'refused'; says: string };

const keptBy = async (keeping: Keeping): Promise<Kept> =>
  'own' in keeping ? ownFiles(keeping.own) : new RemoteKept(keeping.at);

/** What gives the world, or the camera, at frames of the lap: worked out in this thread, nothing is drawn. */
function givenBy(piece: Piece, { format, tiles, first }: Delivery): (frame: number) => Promise<Picture> {
  const { width, height } = piece.frame;
  const { frames, rate } = piece.lap;
  let routes: GivenRoute[] | null = null;
  return async (frame) => {
    await takeIn(missingFiles(piece));
    const world =
      formatOf(format).takes.pixels === 'world' ? givenWorld(piece, framePhase(frame, frames), tiles) : null;
    const camera = givenCamera(piece, [frame]);
    // the same at every frame
    if (formatOf(format).takes.pixels === 'routes') routes ??= givenRoutes(piece);
    camera.times[0] = lapSeconds(frame - first, rate);
    return {
      width,
      height,
      bytes: null,
      numbers: null,
      given: { world, camera, routes: routes ?? [], aspect: width / height },
    };
  };
}

/** What draws the frames of a delivery. */
function drawing(
  engine: Pick<EngineApi, 'pixels' | 'frame'>,
  piece: Piece,
  delivery: Delivery,
): (frame: number) => Promise<Picture> {
  const { width, height } = drawnSize(delivery);
  const cut = cutOf(delivery);
  const asks = asksOf(piece, delivery);
  const lines = delivery.shows === 'lines';
  const shown = lines ? linesAlone(piece) : piece;
  const alone = asks.line ? linesAlone(piece) : null;
  const passes = Number(delivery.samples);
  if (!isDrawn(formatOf(delivery.format))) return givenBy(piece, delivery);
  return async (frameIndex) => {
    const request: StillRequest = {
      piece: shown,
      frameIndex,
      width,
      height,
      passes,
      clear: asks.clear,
      step: asks.step,
    };
    if (asks.bytes) return cutPicture({ width, height, bytes: await engine.pixels(request), numbers: null }, cut);
    const also = asks.also.map(({ channel }) => channel);
    const { rgba, channels } = await engine.frame({ ...request, also }, asks.scene);
    const named = channels.map((values, i): NumberChannel => ({ name: asks.also[i].name, values }));
    if (alone) {
      const line = await engine.frame({ ...request, piece: alone, clear: false }, true);
      named.push({ name: 'line.Y', values: everyOf(line.rgba, 4, 0) });
    }
    // white lines are there as far as they are bright
    const covers = lines && formatOf(delivery.format).takes.alpha && delivery.alpha !== 'none';
    const whole: Picture = {
      width,
      height,
      bytes: null,
      numbers: { rgba: covers ? coveredByLight(rgba) : rgba, channels: named },
    };
    return cutPicture(whole, cut);
  };
}

/** With the file of its sound. */
async function withSound(settings: Settings): Promise<Settings> {
  const { sound } = settings.delivery;
  return formatOf(settings.delivery.format).sounds && sound ? { ...settings, sound: await fileBlob(sound) } : settings;
}

/** The parts that are kept of a delivery, if all are. */
async function allParts(kept: Kept, settings: Settings): Promise<Parts | null> {
  const facts = await kept.list();
  const count = Math.ceil(settings.frames.length / codecOf(settings.delivery.format).partFrames(settings));
  if (facts.size < count) return null;
  return { count, at: (part) => kept.at(part), crcOf: (part) => facts.get(part)?.crc ?? 0 };
}

/**
 * Renders a delivery: one engine in a worker of its own draws frame after frame while this worker converts and encodes
 * the frame before.
 */
class ExportWorker {
  async run(
    piece: Piece,
    delivery: Delivery,
    keeping: Keeping,
    progress: (progress: ExportProgress) => void,
  ): Promise<ExportResult> {
    const settings = await withSound(settingsOf(piece, delivery));
    const codec = codecOf(delivery.format);
    const says = await codec.refusal(settings);
    if (says !== null) return { state: 'refused', says };
    const kept = await keptBy(keeping);
    const started = performance.now();
    const engine = startEngine();
    try {
      const draw = drawing(engine.api, piece, delivery);
      const rendered = await renderDelivery({ settings, codec, kept, draw, progress });
      // a film holds all that its parts do
      if (rendered.verified.ok && formatOf(delivery.format).holds === 'film') await kept.dropParts();
      return { state: 'done', ...rendered, seconds: (performance.now() - started) / 1000 };
    } finally {
      engine.close();
    }
  }

  /** The file of a job that was finished before, or null when it is not there any more. */
  async finished(piece: Piece, delivery: Delivery, job: string): Promise<Blob | null> {
    const kept = await ownFiles(job);
    if (formatOf(delivery.format).holds === 'film') return kept.found();
    const settings = await withSound(settingsOf(piece, delivery));
    const parts = await allParts(kept, settings);
    return parts && codecOf(delivery.format).join(settings, parts, () => kept.whole());
  }

  /** The numbered pictures of a job that was finished before, or null when they are not there any more. */
  async pictures(piece: Piece, delivery: Delivery, job: string): Promise<{ name: string; file: Blob }[] | null> {
    const settings = await withSound(settingsOf(piece, delivery));
    const parts = await allParts(await ownFiles(job), settings);
    if (!parts) return null;
    return Promise.all(namesOf(settings).map(async (name, part) => ({ name, file: await parts.at(part) })));
  }
}

export type ExportApi = ExportWorker;
letTroublesCross();
sayStarted(() => Comlink.expose(new ExportWorker()));

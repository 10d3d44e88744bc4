import { CLIPS, type Joins } from '../../core/clips';
import type { FileKind, FileRef } from '../../core/kept';
import { Trouble } from '../../core/trouble';
import { stateReport } from '../../core/seam/report';
import { parsePiece } from '../../core/world/open';
import { DELIVERY, type Delivery } from '../../core/deliveries/form';
import { formatOf, isDrawn } from '../../core/deliveries/formats';
import { missingFiles } from '../../core/piece/files';
import { measureJoins, measureJoinsOf } from '../../files/joins';
import { openFile } from '../../files/open';
import { unpacked } from '../../files/packing';
import { keepFile } from '../../files/shelf';
import { takeIn } from '../../files/taken';
import { proxy, startEngine } from '../../engine/client';
import { seamSize } from '../../engine/seam/quality';
import type { Piece } from '../../core/piece/schema';
import { contentKey, STRIP_COLUMNS, STRIP_FRAMES, STRIP_WIDTH, stripHeight } from '../shell/strip';
import { PROGRAM, startExport, type ExportProgress, type Keeping } from '../../export/client';
import { namesOf } from '../../export/codecs/pictures/pictures';
import { codecOf } from '../../export/codecs/registry';
import { MemoryKept } from '../../export/kept/memory';
import type { Picture } from '../../export/picture';
import { renderDelivery } from '../../export/render';
import { asksOf, settingsOf } from '../../export/settings';

/** Bytes as base64, in pieces that fit a call's arguments. */
function base64(bytes: Uint8Array): string {
  let text = '';
  for (let i = 0; i < bytes.length; i += 32_768) text += String.fromCharCode(...bytes.subarray(i, i + 32_768));
  return btoa(text);
}

let written = new Blob();

/** @throws Trouble in words when it is none */
function readDelivery(delivery: object): Delivery {
  const parsed = DELIVERY.schema.safeParse({ id: 'lab', ...delivery });
  if (parsed.success) return parsed.data;
  const words = parsed.error.issues.map((issue) => `${issue.path.join('.')} ${issue.message}`);
  throw new Trouble('refused', words.join('; '));
}

/** What the command line and the browser tests find on `window` of the lab page. */
const lab = {
  engine: startEngine(),
  parse(json: unknown): Piece {
    const parsed = parsePiece(json);
    if (!parsed.ok)
      throw new Trouble('refused', parsed.problems.map(({ where, what }) => `${where || 'file'}: ${what}`).join('; '));
    return parsed.piece;
  },
  /** a packed piece, given as base64: its files are kept, so that every worker finds them */
  async unpack(text: string, name: string): Promise<Piece> {
    const { parsed, remarks } = await unpacked(
      Uint8Array.from(atob(text), (letter) => letter.charCodeAt(0)),
      name,
    );
    if (!parsed.ok)
      throw new Trouble('refused', parsed.problems.map(({ where, what }) => `${where || 'file'}: ${what}`).join('; '));
    if (remarks.length > 0) throw new Trouble('refused', remarks.join(' '));
    return parsed.piece;
  },
  /** files that a piece names and that are nowhere */
  async missing(piece: Piece): Promise<string[]> {
    await takeIn(missingFiles(piece));
    return missingFiles(piece).map(({ ref }) => ref.name);
  },
  seamSize,
  async stateReport(piece: Piece) {
    await takeIn(missingFiles(piece));
    await measureJoinsOf(piece);
    return stateReport(piece);
  },
  contentKey,
  /** the frames of a recipe's moving thumbnail as one WebP picture, base64 */
  async strip(piece: Piece): Promise<string> {
    const height = stripHeight(piece);
    const rows = Math.ceil(STRIP_FRAMES / STRIP_COLUMNS);
    const canvas = new OffscreenCanvas(STRIP_WIDTH * STRIP_COLUMNS, height * rows);
    const context = canvas.getContext('2d');
    for (let i = 0; i < STRIP_FRAMES; i++) {
      const frameIndex = Math.floor((i * piece.lap.frames) / STRIP_FRAMES);
      const blob = await lab.engine.api.still({ piece, frameIndex, width: STRIP_WIDTH, height, passes: 4 });
      const picture = await createImageBitmap(blob);
      context?.drawImage(picture, (i % STRIP_COLUMNS) * STRIP_WIDTH, Math.floor(i / STRIP_COLUMNS) * height);
    }
    const bytes = new Uint8Array(
      await (await canvas.convertToBlob({ type: 'image/webp', quality: 0.72 })).arrayBuffer(),
    );
    return base64(bytes);
  },
  /** writes pictures that are given, RGBA bytes as base64 in place of rendered ones; the result's bytes come in slices through `lab.slice` */
  async encode(piece: Piece, delivery: object, pictures: readonly string[]) {
    const own = readDelivery(delivery);
    const settings = settingsOf(piece, own);
    const { width, height, frames } = settings;
    const codec = codecOf(own.format);
    const says = await codec.refusal(settings);
    if (says !== null) throw new Trouble('refused', says);
    const { bytes: asBytes } = asksOf(piece, own);
    const draw = (frame: number): Promise<Picture> => {
      const bytes = Uint8Array.from(atob(pictures[frames.indexOf(frame)]), (letter) => letter.charCodeAt(0));
      const numbers = { rgba: Float32Array.from(bytes, (v) => v / 255), channels: [] };
      return Promise.resolve(
        asBytes ? { width, height, bytes, numbers: null } : { width, height, bytes: null, numbers },
      );
    };
    const result = await renderDelivery({ settings, codec, kept: new MemoryKept(), draw, progress: () => undefined });
    written = result.file;
    return { verified: result.verified, size: written.size };
  },
  /** names what is rendered, and by which program: another delivery, piece or version has another */
  deliveryKey: (piece: Piece, delivery: object): string => JSON.stringify([PROGRAM, piece, readDelivery(delivery)]),
  /** names of the numbered pictures of a delivery, in their order */
  pictureNames: (piece: Piece, delivery: object): string[] => namesOf(settingsOf(piece, readDelivery(delivery))),
  isDrawn: (delivery: object): boolean => isDrawn(formatOf(readDelivery(delivery).format)),
  /** hands the last result to the command line's server */
  async upload(address: string): Promise<void> {
    const answer = await fetch(address, { method: 'PUT', body: written });
    if (!answer.ok) throw new Trouble('not-written', await answer.text());
  },
  /** renders a delivery; the result's bytes come in slices through `lab.slice` */
  async render(
    piece: Piece,
    delivery: object,
    progress: (p: ExportProgress) => void = () => undefined,
    keeping: Keeping = { own: crypto.randomUUID() },
  ) {
    const result = await startExport(piece, readDelivery(delivery), keeping, progress).result;
    if (result.state !== 'done')
      throw new Trouble(result.state, result.state === 'refused' ? result.says : 'cancelled');
    written = result.file;
    const { seconds, verified, remarks, found } = result;
    return { seconds, verified, remarks, found, size: written.size };
  },
  /** seconds that rendering alone, encoding alone and the export of the same frames take, and how many of the last come after its last frame; for benches */
  async exportTimes(
    piece: Piece,
    frames: number,
    width: number,
    height: number,
  ): Promise<{ render: number; encode: number; both: number; after: number }> {
    const seconds = async (work: () => Promise<void>): Promise<number> => {
      const started = performance.now();
      await work();
      return (performance.now() - started) / 1000;
    };
    const pictures: Uint8Array[] = [];
    // by an engine of its own, as an export has: both build its programs
    const render = await seconds(async () => {
      const engine = startEngine();
      for (let frameIndex = 0; frameIndex < frames; frameIndex++)
        pictures.push(await engine.api.pixels({ piece, frameIndex, width, height, passes: 1 }));
      engine.close();
    });
    const encode = await seconds(async () => {
      const delivery = DELIVERY.schema.parse({ id: 'lab', format: 'mp4', width, height, last: frames - 1 });
      const settings = settingsOf(piece, delivery);
      const codec = codecOf('mp4');
      const each = codec.partFrames(settings);
      for (let from = 0; from < frames; from += each) {
        const sink = await codec.open(settings);
        for (const bytes of pictures.slice(from, from + each)) await sink.add({ width, height, bytes, numbers: null });
        await sink.finish();
      }
    });
    let drawn = 0;
    const both = await seconds(async () => {
      await lab.render(piece, { format: 'mp4', width, height, samples: '1', last: frames - 1 }, ({ done, of }) => {
        if (done === of) drawn = performance.now();
      });
    });
    return { render, encode, both, after: (performance.now() - drawn) / 1000 };
  },
  /** keeps a file, given as base64, and takes it in: what its kind is */
  async keep(text: string, name: string): Promise<{ hash: string; kind: FileKind }> {
    const { hash, kind } = await keepFile(
      Uint8Array.from(atob(text), (letter) => letter.charCodeAt(0)),
      name,
    );
    await takeIn([{ ref: { hash, name }, kind }]);
    return { hash, kind };
  },
  /** frames of a kept picture or clip, one after another as they are asked for: encoded sRGB and alpha as base64, and pixels */
  async framesOf(
    file: FileRef,
    kind: 'picture' | 'clip',
    frames: readonly number[],
  ): Promise<{ width: number; height: number; rgba: string }[]> {
    const open = await openFile(file, kind);
    if (!open) throw new Trouble('refused', `“${file.name}” is not kept`);
    const found = [];
    for (const frame of frames)
      for await (const [index, { width, height, rgba }] of open.from(frame)) {
        if (index !== frame) throw new Trouble('impossible', `frame ${index} came for ${frame}`);
        found.push({ width, height, rgba: base64(new Uint8Array(rgba)) });
        break;
      }
    await open.close();
    return found;
  },
  /** how a kept clip closes each way */
  async joins(file: FileRef): Promise<Joins | null> {
    await takeIn([{ ref: file, kind: 'clip' }]);
    await measureJoins([file]);
    return CLIPS.at(file)?.joins ?? null;
  },
  /** a part of the last result as base64 */
  async slice(from: number, to: number): Promise<string> {
    return base64(new Uint8Array(await written.slice(from, to).arrayBuffer()));
  },
  proxy,
};

export type Lab = typeof lab;
Object.assign(globalThis, { lab });

import type { ClipFacts } from '../../core/clips';
import { CLIPS } from '../../core/clips/facts';
import { PICTURES } from '../../core/pictures/facts';
import type { Pictured } from '../../core/layers/drawing';
import type { FileRef } from '../../core/kept';
import { reduced, type Raster } from '../../core/pictures/raster';
import { openFile, type OpenFile } from '../../files/open';
import { standIn } from './standIn';

/** Bytes of decoded frames that a worker keeps. What is drawn now is kept beyond that, in as small a size as it needs. */
const BUDGET = 400e6;

const bytesOf = ({ width, height }: Raster): number => width * height * 4;

interface Kept {
  raster: Raster;
  /** how often it was halved */
  level: number;
}

/**
 * Frames of pictures and clips as pixels, decoded once and kept while there is room: those used longest ago go first. What is
 * not here is asked for by {@link need} before a frame is drawn.
 */
export class Pixels {
  private readonly kept = new Map<string, Kept>();
  private bytes = 0;
  private readonly open = new Map<string, Promise<OpenFile | null>>();
  /** one decoder goes through a clip at a time */
  private turn: Promise<void> = Promise.resolve();

  constructor(private readonly budget = BUDGET) {}

  /** A frame halved so many times; null where it has to be decoded first. */
  at(hash: string, frame: number, level: number): Raster | null {
    const key = `${hash} ${frame}`;
    const found = this.kept.get(key);
    if (!found || found.level > level) return null;
    // used last
    this.kept.delete(key);
    this.kept.set(key, found);
    return reduced(found.raster, level - found.level);
  }

  /** Sees to it that frames are here, each halved at most so many times; null where they all are. */
  need(asked: readonly NeededFrames[]): Promise<void> | null {
    const missing = asked.flatMap(({ file, kind, frames, level }) => {
      const hash = file?.hash;
      if (hash === undefined) return [];
      const left = [...frames].filter((frame) => (this.kept.get(`${hash} ${frame}`)?.level ?? Infinity) > level);
      return left.length > 0 ? [{ hash, name: file?.name ?? '', kind, frames: left, level }] : [];
    });
    if (missing.length === 0) return null;
    const wanted = new Set(
      asked.flatMap(({ file, frames }) => [...frames].map((frame) => `${file?.hash ?? ''} ${frame}`)),
    );
    this.turn = this.turn.then(async () => {
      for (const one of missing) await this.decode(one, wanted);
    });
    return this.turn;
  }

  private async decode({ hash, name, kind, frames, level }: Missing, wanted: ReadonlySet<string>): Promise<void> {
    const file = await this.opened({ hash, name }, kind);
    const left = new Set(frames);
    try {
      // from the first that is needed on, as long as the next is not far
      while (file && left.size > 0) {
        const start = Math.min(...left);
        // where it goes on from what was shown before, it will go on further
        const until = this.kept.has(`${hash} ${start - 1}`) ? start + AHEAD : start;
        for await (const [index, raster] of file.from(start)) {
          const key = `${hash} ${index}`;
          // one that is there as large, or larger, stays
          if ((this.kept.get(key)?.level ?? Infinity) > level)
            this.keep(key, { raster: reduced(raster, level), level }, wanted);
          left.delete(index);
          const next = Math.min(...left);
          if ((next - index > STRIDE || left.size === 0) && index >= until) break;
        }
        if (left.has(start)) break;
      }
    } catch {
      // said where the file is named; what cannot be decoded has a stand-in
    }
    for (const frame of left) this.keep(`${hash} ${frame}`, { raster: standIn(), level: 0 }, wanted);
  }

  /** A file, open; those used longest ago are closed. */
  private async opened(ref: FileRef, kind: Pictured['kind']): Promise<OpenFile | null> {
    const { hash } = ref;
    const opening = this.open.get(hash) ?? openFile(ref, kind).catch(() => null);
    this.open.delete(hash);
    this.open.set(hash, opening);
    const file = await opening;
    if (!file) this.open.delete(hash);
    for (const [oldest, other] of this.open) {
      if (this.open.size <= MOST_OPEN) break;
      this.open.delete(oldest);
      await (await other)?.close();
    }
    return file;
  }

  private keep(key: string, kept: Kept, wanted: ReadonlySet<string>): void {
    const before = this.kept.get(key);
    if (before) this.bytes -= bytesOf(before.raster);
    this.kept.delete(key);
    this.kept.set(key, kept);
    this.bytes += bytesOf(kept.raster);
    for (const [oldest, { raster }] of this.kept) {
      if (this.bytes <= this.budget) break;
      if (wanted.has(oldest)) continue;
      this.kept.delete(oldest);
      this.bytes -= bytesOf(raster);
    }
  }

  /** Bytes that are kept. */
  get held(): number {
    return this.bytes;
  }
}

/** Files that are open at once: browsers have a few decoders. */
const MOST_OPEN = 8;

/** Frames that are decoded beyond those that are needed, as beginning anew costs as much. */
const AHEAD = 20;

/** Frames that lie no farther apart are decoded in one go. */
const STRIDE = 12;

/** Frames of one file that are to be drawn. */
export interface NeededFrames extends Pick<Pictured, 'file' | 'kind'> {
  frames: ReadonlySet<number>;
  /** how often they may be halved */
  level: number;
}
interface Missing {
  hash: string;
  name: string;
  kind: Pictured['kind'];
  frames: readonly number[];
  level: number;
}

/** Of this worker. */
export const pixels = new Pixels();

/** Pixels and frames of what is shown; of a stand-in where it is not here. */
export function sizeOf({
  file,
  kind,
}: Pick<Pictured, 'file' | 'kind'>): Pick<ClipFacts, 'width' | 'height' | 'frames'> {
  const { width, height } = standIn();
  if (kind === 'clip') return CLIPS.at(file) ?? { width, height, frames: 1 };
  return { ...(PICTURES.at(file) ?? { width, height }), frames: 1 };
}

/** The most bytes that the frames of one picture may take, all layers together. */
export const MOST_DRAWN = BUDGET / 2;

import { crc32 } from '../formats/crc';
import type { ExportCodec, Part, PartSink, Settings, Verified } from './codecs/codec';
import { remainingSeconds } from './estimate';
import { rateHz } from '../core/time/lap';
import { judgeFrames } from './judge';
import type { Kept, PartFacts } from './kept/kept';
import type { Picture } from './picture';

export interface ExportProgress {
  done: number;
  of: number;
  /** seconds left, or null before anything is known */
  left: number | null;
}

/** What rendering a delivery needs. */
export interface Rendering {
  settings: Settings;
  codec: ExportCodec;
  kept: Kept;
  /** draws one of its frames, by its number in the lap; the next is asked for while this one is encoded */
  draw(frame: number): Promise<Picture>;
  progress(progress: ExportProgress): void;
}

export interface Rendered {
  file: Blob;
  verified: Verified;
  /** what else is to be said of its frames, in sentences */
  remarks: string[];
  /** frames that were there from before */
  found: number;
}

/**
 * Renders what is missing of a delivery, part by part, keeps each part as it is finished, puts all together and reads it back. Ended at any moment and
 * begun again, it comes to the same file.
 */
export async function renderDelivery({ settings, codec, kept, draw, progress }: Rendering): Promise<Rendered> {
  const { frames } = settings;
  const each = codec.partFrames(settings);
  const count = Math.ceil(frames.length / each);
  const framesOf = (part: number): readonly number[] => frames.slice(part * each, (part + 1) * each);
  const known = await kept.list();
  const facts = new Map([...known].filter(([part, own]) => own.frames.length === framesOf(part).length));
  const missing = Array.from({ length: count }, (_, part) => part).filter((part) => !facts.has(part));
  const left = missing.flatMap(framesOf);
  const found = frames.length - left.length;
  progress({ done: found, of: frames.length, left: null });
  const times: number[] = [];
  let last = performance.now();
  let next = left.length > 0 ? draw(left[0]) : null;
  // one that fails while another is encoded is heard of where it is waited for
  next?.catch(() => undefined);
  let drawn = 0;
  const nextPicture = async (): Promise<Picture> => {
    const picture = await next;
    if (!picture) throw new RangeError('more frames are encoded than are drawn');
    drawn++;
    next = drawn < left.length ? draw(left[drawn]) : null;
    next?.catch(() => undefined);
    return picture;
  };
  for (const part of missing) {
    const sink = await codec.open(settings);
    const encoded = await encodePart(sink, framesOf(part).length, nextPicture, () => {
      const now = performance.now();
      times.push(now - last);
      last = now;
      progress({
        done: found + times.length,
        of: frames.length,
        left: remainingSeconds(times, left.length - times.length),
      });
    });
    const own: PartFacts = { bytes: encoded.bytes.length, crc: crc32(encoded.bytes), frames: encoded.frames };
    await kept.put(part, encoded.bytes, own);
    facts.set(part, own);
  }
  const inOrder = Array.from({ length: count }, (_, part) => facts.get(part) as PartFacts);
  const parts = { count, at: (part: number) => kept.at(part), crcOf: (part: number) => inOrder[part].crc };
  const file = await codec.join(settings, parts, () => kept.whole());
  const all = inOrder.flatMap((own) => own.frames);
  const verified = await codec.verify(file, settings, all);
  return {
    file,
    verified,
    remarks: judgeFrames(all, frames, {
      lap: settings.lap,
      size: [settings.width, settings.height],
      rate: rateHz(settings.rate),
    }),
    found,
  };
}

async function encodePart(
  sink: PartSink,
  count: number,
  next: () => Promise<Picture>,
  told: () => void,
): Promise<Part> {
  try {
    for (let i = 0; i < count; i++) {
      await sink.add(await next());
      told();
    }
    return await sink.finish();
  } catch (error) {
    await sink.abandon().catch(() => undefined);
    throw error;
  }
}

import { formatOf, isDrawn } from '../core/deliveries/formats';
import { Trouble } from '../core/trouble';
import { AtOnce } from './atOnce';
import { crc32 } from '../formats/crc';
import { MemorySink } from './bytes/memory';
import type { ExportCodec, FrameFacts, Part, Parts, PartSink, Settings, Verified } from './codecs/codec';
import { Pace } from './estimate';
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

/** So many frames are put together and read back as soon as they are there. */
const TRIED_FRAMES = 8;

/**
 * How many parts are put together and read back before the others are drawn: an encoder whose files are not what was rendered is heard of then, not
 * after a night, and how long the whole takes is known. None where that is most of the work.
 */
function triedParts({ delivery, frames }: Settings, each: number): number {
  const parts = Math.ceil(TRIED_FRAMES / each);
  return isDrawn(formatOf(delivery.format)) && frames.length > 2 * parts * each ? parts : 0;
}

/**
 * Puts the first parts together and reads them back, in memory.
 * @throws Trouble `not-written` where that is not what was rendered
 */
async function tryParts({ codec, settings }: Rendering, parts: Parts, all: readonly FrameFacts[]): Promise<void> {
  const few: Settings = {
    ...settings,
    ...{ frames: settings.frames.slice(0, all.length), lap: false, sound: null },
    delivery: { ...settings.delivery, sound: null, repeats: 1 },
  };
  const file = await codec.join(few, parts, () => Promise.resolve(new MemorySink()));
  const { ok, says } = await codec.verify(file, few, all);
  if (!ok)
    throw new Trouble('not-written', `the first ${all.length} frames, read back, are not what was rendered: ${says}`, {
      would: 'Choose another format, or other settings of this one.',
    });
}

/**
 * Renders what is missing of a delivery, part by part, keeps each part as it is finished, puts all together and reads it back. Ended at any moment and
 * begun again, it comes to the same file.
 */
export async function renderDelivery(rendering: Rendering): Promise<Rendered> {
  const { settings, codec, kept, draw, progress } = rendering;
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
  const pace = new Pace(left.length, missing.length);
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
  const parts: Parts = {
    count,
    at: (part) => kept.at(part),
    crcOf: (part) => facts.get(part)?.crc ?? 0,
  };
  /** what is known of the frames of the first so many parts */
  const framesIn = (parts: number): FrameFacts[] =>
    Array.from({ length: parts }, (_, part) => facts.get(part)?.frames ?? []).flat();
  let untried = Array.from({ length: triedParts(settings, each) }, (_, part) => part);
  const encodeAndKeep = async (part: number, pictures: () => Promise<Picture>): Promise<void> => {
    const sink = await codec.open(settings);
    const encoded = await encodePart(sink, framesOf(part).length, pictures, () => {
      pace.frame();
      progress({ done: found + pace.done, of: frames.length, left: pace.left() });
    });
    const own: PartFacts = { bytes: encoded.bytes.length, crc: crc32(encoded.bytes), frames: encoded.frames };
    await kept.put(part, encoded.bytes, own);
    facts.set(part, own);
    pace.part();
    if (untried.length === 0 || !untried.every((one) => facts.has(one))) return;
    const tried = untried.length;
    untried = [];
    const began = performance.now();
    await tryParts(rendering, { ...parts, count: tried }, framesIn(tried));
    pace.tried((tried * each) / (frames.length * settings.delivery.repeats), performance.now() - began);
  };
  const going = new AtOnce(codec.atOnce?.() ?? 1);
  for (const part of missing)
    if (each > 1) await encodeAndKeep(part, nextPicture);
    else {
      const own = await nextPicture();
      await going.begin(() => encodeAndKeep(part, () => Promise.resolve(own)));
    }
  await going.done();
  const file = await codec.join(settings, parts, () => kept.whole());
  const all = framesIn(count);
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

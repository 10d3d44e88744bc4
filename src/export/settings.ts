import { cutOf, drawnFrames, deliveryFrames, type Delivery } from '../core/deliveries/form';
import { formatOf } from '../core/deliveries/formats';
import type { Drawn, Numbers } from '../core/look/channels';
import type { Piece } from '../core/piece/schema';
import { pieceFileName } from '../formats/pieceFile';
import type { Settings } from './codecs/codec';

/** What a codec is told of a delivery of a piece. */
export function settingsOf(piece: Piece, delivery: Delivery): Settings {
  const frames = drawnFrames(delivery, piece.lap.frames);
  const { count, whole } = deliveryFrames(delivery, piece.lap.frames);
  const { thins, holds } = formatOf(delivery.format);
  const { width, height } = cutOf(delivery);
  return {
    ...{ delivery, frames, stem: pieceFileName(piece, ''), rate: piece.lap.rate },
    each: thins ? { num: count, den: frames.length } : { num: 1, den: 1 },
    lap: whole && (holds === 'film' || holds === 'pictures'),
    ...{ width, height },
  };
}

/** What is asked of the engine for each frame of a delivery. */
export interface Asks {
  /** code values of 8 bits are enough */
  bytes: boolean;
  /** the light before all effects */
  scene: boolean;
  /** without what is behind everything */
  clear: boolean;
  /** the steps that code values are rounded to, in those of 8 bits; 0 for none */
  step: number;
  /** channels beside the picture, with the names they have in the file */
  also: readonly { name: string; channel: Numbers }[];
  /** the drawn lines as a channel: a picture of their own */
  line: boolean;
}

/** Names of layers as those of channels: letters, numbers and strokes; each once. */
function channelNames(layers: readonly { id: string; name: string }[]): Map<string, string> {
  const given = new Map<string, string>();
  const taken = new Set<string>();
  for (const { id, name } of layers) {
    const stem =
      name
        .normalize('NFKD')
        .replace(/[^A-Za-z0-9]+/g, '_')
        .replace(/^_+|_+$/g, '') || 'layer';
    let own = stem;
    for (let n = 2; taken.has(own); n++) own = `${stem}_${n}`;
    taken.add(own);
    given.set(id, own);
  }
  return given;
}

/** Bits of a sample of what is written; 0 for numbers. */
export function bitsOf({ format, tenBits, bits }: Delivery): number {
  const info = formatOf(format);
  if (info.takes.pixels === 'numbers') return 0;
  if (info.depth !== null) return info.depth;
  if (info.tenBits && tenBits) return 10;
  return info.takes.pixels === 'either' && info.holds !== 'film' ? Number(bits) : 8;
}

export function asksOf(piece: Piece, delivery: Delivery): Asks {
  const { takes } = formatOf(delivery.format);
  const ofPicture = delivery.shows === 'picture';
  const alpha = takes.alpha && delivery.alpha !== 'none';
  const bits = bitsOf(delivery);
  const finer = bits === 0 || bits > 8;
  const plain: [keyof Delivery, string, Drawn['of']][] = [
    ['depth', 'Z', 'depth'],
    ['normal', 'normal', 'normal'],
    ['motion', 'motion', 'motion'],
  ];
  const also: { name: string; channel: Numbers }[] = [];
  if (takes.channels) {
    for (const [field, name, of] of plain)
      if (delivery[field] === true) also.push({ name, channel: { of } as Numbers });
    const shown = piece.layers.filter(({ hidden }) => !hidden);
    if (delivery.mattes)
      for (const [id, name] of channelNames(shown)) also.push({ name: `matte.${name}`, channel: { of: 'layer', id } });
  }
  return {
    bytes: !finer && !alpha,
    scene: takes.pixels === 'numbers' && delivery.light === 'scene' && ofPicture,
    clear: alpha && ofPicture,
    step: bits === 0 ? 0 : 255 / (2 ** bits - 1),
    also,
    line: takes.channels && delivery.line,
  };
}

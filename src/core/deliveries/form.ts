import { z } from 'zod';
import { FORMATS, formatOf, formatWords, isDrawn } from './formats';
import type { FormatInfo } from './format';
import { choice, file, flag, form, heading, integer, number, type ValueOf, stored } from '../forms';
import { text } from '../forms/text';

const what = heading('File');
const quality = heading('Quality');
const part = heading('Part of the lap');
const cut = heading('Part of the picture');
const channels = heading('Channels');
const sound = heading('Sound');
const names = heading('Names');

/** Passes of a frame as the choices they are: powers of two. */
export const PASSES = { '1': '1', '4': '4', '16': '16', '64': '64', '256': '256' } as const;

/** Shown for the formats that are so. */
const where = (is: (format: FormatInfo) => boolean): { field: string; is: readonly string[] } => ({
  field: 'format',
  is: FORMATS.filter(is).map(({ kind }) => kind),
});
/** Those that are drawn. */
const drawn = where(isDrawn);
const only = (...kinds: readonly string[]): { field: string; is: readonly string[] } => ({
  field: 'format',
  is: kinds,
});

/** Where a sound is chosen, for the formats that hold one. */
const heard = [where(({ sounds }) => sounds), { field: 'sound', is: [null], not: true }];

/** Of what is cut out of the picture, in pixels of the whole. */
const edge = (label: string, hint: string) =>
  integer(0, {
    ...{ label, unit: 'px', min: 0, max: 8192, comfort: 3840, group: cut, hint },
    when: where((format) => isDrawn(format) && format.holds !== 'sheet'),
  });

/** A channel beside the picture. */
const channel = (label: string, hint: string) =>
  flag(false, { label, group: channels, when: where(({ takes }) => takes.channels), hint });

/** Something the piece is rendered to. Kept in the piece, so that a proof can be made again after a note. */
export const DELIVERY = form({
  id: stored(z.string().min(1).max(64)),
  format: choice('mp4', formatWords, {
    label: 'Format',
    group: what,
    hint: 'Video to play and share, single pictures for compositing, or something small for a mail.',
  }),
  width: integer(1920, {
    label: 'Width',
    unit: 'px',
    min: 16,
    max: 8192,
    comfort: 3840,
    group: what,
    when: drawn,
    hint: 'Width in pixels.',
  }),
  height: integer(1080, {
    label: 'Height',
    unit: 'px',
    min: 16,
    max: 8192,
    comfort: 2160,
    group: what,
    when: drawn,
    hint: 'Height in pixels.',
  }),
  shows: choice(
    'picture',
    { picture: 'The picture', lines: 'Its drawn lines' },
    {
      label: 'Shows',
      group: what,
      when: drawn,
      hint: 'The piece as it is, or the lines along its layers alone, white on black.',
    },
  ),
  light: choice(
    'finished',
    { finished: 'As finished', scene: 'Before all effects' },
    {
      label: 'Light',
      group: what,
      when: [only('exr'), { field: 'shows', is: ['picture'] }],
      hint: 'The picture as the Look step finishes it, made linear; or the light of the world as it comes from the lens, brighter than white where it is, to be finished elsewhere.',
    },
  ),
  alpha: choice(
    'none',
    { none: 'None', straight: 'Straight', premultiplied: 'Premultiplied' },
    {
      label: 'Alpha',
      group: what,
      when: where(({ takes }) => takes.alpha),
      hint: 'Leaves out what is behind everything. Premultiplied, light that is added shines over what lies below; straight, it hides as much as it is bright.',
    },
  ),
  samples: choice('16', PASSES, {
    label: 'Samples',
    group: quality,
    when: drawn,
    hint: 'Passes per frame: more buys cleaner motion blur, depth of field and occlusion, and costs time.',
  }),
  rate: choice(
    'high',
    {
      proof: 'Small, for a look',
      high: 'High',
      master: 'Very high, for more editing',
      quality: 'By quality',
      own: 'Megabits a second',
    },
    {
      label: 'Data rate',
      group: quality,
      when: where(({ rated }) => rated),
      hint: 'Bits spent on a frame of video. By quality, each frame takes as many as it needs to look as good as the others.',
    },
  ),
  filmQuality: integer(75, {
    label: 'Quality',
    unit: 'of 100',
    min: 1,
    max: 100,
    group: quality,
    when: [where(({ rated }) => rated), { field: 'rate', is: ['quality'] }],
    hint: 'How faithful each frame is; less is smaller. Where the encoder can only hold a data rate, that is the rate such frames usually need.',
  }),
  megabits: number(20, {
    label: 'Megabits',
    unit: 'a second',
    min: 0.2,
    max: 800,
    comfort: 100,
    group: quality,
    when: [where(({ rated }) => rated), { field: 'rate', is: ['own'] }],
    hint: 'Data rate in megabits a second.',
  }),
  pictureQuality: integer(85, {
    label: 'Quality',
    unit: 'of 100',
    min: 1,
    max: 100,
    group: quality,
    when: only('webp'),
    hint: 'How faithful each frame is; less is smaller.',
  }),
  sound: file('sound', null, {
    label: 'Sound',
    group: sound,
    when: where(({ sounds }) => sounds),
    hint: 'A sound that is cut to the lap: WAV, MP3, FLAC, Ogg or M4A.',
  }),
  soundFrom: number(0, {
    label: 'Begins at',
    unit: 's',
    min: 0,
    max: 3600,
    comfort: 60,
    decimals: 3,
    group: sound,
    when: heard,
    hint: 'Seconds into the sound at which the lap begins.',
  }),
  soundGain: number(0, {
    label: 'Louder by',
    unit: 'dB',
    min: -60,
    max: 24,
    comfort: 12,
    decimals: 1,
    group: sound,
    when: heard,
    hint: 'Decibels by which it is made louder; below 0 softer.',
  }),
  soundBlend: number(0.25, {
    label: 'Blended over',
    unit: 's',
    min: 0,
    max: 30,
    comfort: 4,
    decimals: 2,
    group: sound,
    when: heard,
    hint: 'Seconds over which what follows the lap in the sound goes over into its beginning, so that it does not click at the seam.',
  }),
  tenBits: flag(false, {
    label: 'Ten bits',
    group: quality,
    when: where(({ tenBits }) => tenBits),
    hint: 'A thousand steps from black to white in place of 256: dark gradients stay smooth on walls that show them. Not every player can.',
  }),
  bits: choice(
    '8',
    { '8': '8 bits', '16': '16 bits' },
    {
      label: 'Depth',
      group: quality,
      when: only('png', 'poster'),
      hint: 'Bits of a colour in each channel. 16 for more grading afterwards.',
    },
  ),
  numbers: choice(
    'half',
    { half: 'Half floats', float: 'Full floats' },
    {
      label: 'Numbers',
      group: quality,
      when: only('exr'),
      hint: 'Half floats hold all that is seen in half the room. Depth is always kept in full floats.',
    },
  ),
  first: integer(0, {
    label: 'First frame',
    min: 0,
    max: 99_999,
    group: part,
    inLap: true,
    hint: 'Index of the first frame; 0 is at the seam.',
  }),
  last: integer(99_999, {
    label: 'Last frame',
    min: 0,
    max: 99_999,
    group: part,
    when: where(({ holds }) => holds !== 'picture'),
    inLap: true,
    hint: 'Index of the last frame. The lap’s last stays that when the lap is given other frames.',
  }),
  every: integer(2, {
    label: 'Every',
    unit: 'frames',
    min: 1,
    max: 60,
    comfort: 6,
    group: part,
    when: where(({ thins }) => thins),
    hint: 'One frame of so many is shown, for as long as they take together.',
  }),
  repeats: integer(1, {
    label: 'Laps',
    min: 1,
    max: 8,
    group: part,
    when: where(({ holds, thins }) => holds === 'film' && !thins),
    hint: 'So many laps after one another in one file. Rendered once.',
  }),
  cutLeft: edge('From the left', 'Pixels that are left out at the left: for one of several outputs of a wall.'),
  cutTop: edge('From above', 'Pixels that are left out above.'),
  cutWidth: edge('Wide', 'Pixels from there on that are kept; 0 for all the rest.'),
  cutHeight: edge('High', 'Pixels from there down that are kept; 0 for all the rest.'),
  depth: channel('Depth', 'Metres along the line of sight as Z, 1e9 where there is nothing; not filtered.'),
  normal: channel('Normals', 'Which way surfaces face, as the camera sees it: to the right, up, towards it.'),
  motion: channel('Motion', 'Pixels to the right and up that what is seen goes in a frame.'),
  line: channel('Drawn lines', 'The lines along the layers alone.'),
  mattes: channel('Mattes', 'How far each layer covers every pixel, under the layer’s name.'),
  tiles: integer(1, {
    label: 'Tiles',
    min: 1,
    max: 64,
    comfort: 8,
    group: part,
    when: where(({ takes }) => takes.pixels === 'world'),
    hint: 'So many repetitions of the world from the camera’s on, along the travel.',
  }),
  numbered: text('', {
    label: 'Pattern',
    most: 120,
    group: names,
    when: where(({ holds }) => holds === 'pictures'),
    hint: 'Names of the pictures: # is a digit of the frame’s number. Left empty, the piece’s name and four digits.',
  }),
  countFrom: integer(0, {
    label: 'Counts from',
    min: 0,
    max: 1_000_000,
    comfort: 1001,
    group: names,
    when: where(({ holds }) => holds === 'pictures'),
    hint: 'Number of the lap’s first frame: 0, 1, or 1001 as in film work.',
  }),
});
export type Delivery = ValueOf<typeof DELIVERY>;

/** The frames of a delivery, first and last included, held inside the lap. */
export function deliveryFrames(
  delivery: Pick<Delivery, 'first' | 'last' | 'format'>,
  lapFrames: number,
): { first: number; last: number; count: number; whole: boolean } {
  const one = formatOf(delivery.format).holds === 'picture';
  const last = Math.min(one ? delivery.first : delivery.last, lapFrames - 1);
  const first = Math.min(delivery.first, last);
  const count = last - first + 1;
  return { first, last, count, whole: count === lapFrames };
}

/** Frames of a contact sheet along each side. */
export const SHEET = 3;

/** The frames that are drawn for a delivery, by their numbers in the lap and in the order they are shown. */
export function drawnFrames(delivery: Delivery, lapFrames: number): number[] {
  const { first, count, whole } = deliveryFrames(delivery, lapFrames);
  const { holds, thins } = formatOf(delivery.format);
  const shown = holds === 'sheet' ? SHEET * SHEET : thins ? Math.max(1, Math.round(count / delivery.every)) : count;
  const frames = Array.from({ length: shown }, (_, i) => first + Math.floor((i * count) / shown));
  // what moves over a whole lap ends where the next begins
  return holds === 'track' && whole ? [...frames, lapFrames] : frames;
}

/** The size that frames of a delivery are drawn at. */
export const drawnSize = ({ format, width, height }: Delivery): { width: number; height: number } =>
  formatOf(format).holds === 'sheet'
    ? { width: Math.floor(width / SHEET), height: Math.floor(height / SHEET) }
    : { width, height };

/** A part of a picture, in pixels from its upper left. */
export interface Cut {
  left: number;
  top: number;
  width: number;
  height: number;
}

/** What of the drawn picture a delivery keeps: held inside it, a pixel at least. */
export function cutOf(delivery: Delivery): Cut {
  const whole = drawnSize(delivery);
  if (formatOf(delivery.format).holds === 'sheet') return { left: 0, top: 0, ...whole };
  const side = (from: number, size: number, all: number): [number, number] => {
    const start = Math.min(from, all - 1);
    return [start, size === 0 ? all - start : Math.min(size, all - start)];
  };
  const [left, width] = side(delivery.cutLeft, delivery.cutWidth, whole.width);
  const [top, height] = side(delivery.cutTop, delivery.cutHeight, whole.height);
  return { left, top, width, height };
}

/**
 * A delivery for each of the outputs of a wall, in rows and columns with what is not seen between them left out.
 * @param gap pixels of a bezel or a gap between two
 * @returns null when nothing would be left of them
 */
export function outputsOf(
  delivery: Delivery,
  { columns, rows, gap }: { columns: number; rows: number; gap: number },
  id: () => string,
): Delivery[] | null {
  const { width, height } = drawnSize(delivery);
  // films have even sides
  const side = (all: number, count: number): number => 2 * Math.floor((all - gap * (count - 1)) / count / 2);
  const [wide, high] = [side(width, columns), side(height, rows)];
  if (wide < 16 || high < 16) return null;
  return Array.from({ length: columns * rows }, (_, i) => ({
    ...{ ...delivery, id: id() },
    ...{
      cutLeft: (i % columns) * (wide + gap),
      cutTop: Math.floor(i / columns) * (high + gap),
      cutWidth: wide,
      cutHeight: high,
    },
  }));
}

/** Names of the pictures of a delivery. @param stem the piece's, as file names have it */
export function pictureName(delivery: Delivery, stem: string, frame: number): string {
  const pattern = /#/.test(delivery.numbered) ? delivery.numbered : `${delivery.numbered || stem}.####`;
  const extension = formatOf(delivery.format).each ?? '';
  const named = pattern.replace(/#+/g, (run) => String(frame + delivery.countFrom).padStart(run.length, '0'));
  return named.endsWith(extension) ? named : named + extension;
}

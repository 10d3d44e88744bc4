import { choice, flag, heading, integer, number, type FieldsValue } from '../../forms';
import { hash4, unitFrom } from '../../random/hash';

const part = heading('Part of the picture');
const share = { unit: '× picture', min: 0, max: 1, decimals: 3, group: part };
const run = { unit: 'pictures a lap', min: -1000, max: 1000, comfort: 4, group: part };

/** Which part of its picture a panel shows, and how it lies on it. */
export const cropFields = {
  fitted: choice(
    'fill',
    { fill: 'Fills it, cut off', whole: 'All of it, edges free', stretch: 'Stretched over it' },
    { label: 'Picture', group: part, hint: 'How a picture of other proportions lies on the panel.' },
  ),
  parts: choice(
    'same',
    { same: 'The same part', chance: 'A part each by chance', split: 'One picture over all panels' },
    { label: 'Each shows', group: part, hint: 'Which part of the picture the panels show.' },
  ),
  partWide: number(1, { label: 'Part width', ...share, min: 0.005, hint: 'Width of the part that is shown.' }),
  partHigh: number(1, { label: 'Part height', ...share, min: 0.005, hint: 'Height of the part that is shown.' }),
  partX: number(0.5, {
    label: 'Part aside',
    ...share,
    when: { field: 'parts', is: ['same'] },
    hint: 'Where its middle is: 0 left, 1 right.',
  }),
  partY: number(0.5, {
    label: 'Part down',
    ...share,
    when: { field: 'parts', is: ['same'] },
    hint: 'Where its middle is: 0 top, 1 bottom.',
  }),
  flip: choice(
    'none',
    { none: 'Not', across: 'Left to right', down: 'Upside down', both: 'Both ways', chance: 'By chance' },
    { label: 'Flipped', group: part, hint: 'How the picture is turned over on the panel.' },
  ),
  runX: integer(0, {
    label: 'Runs left',
    perLap: true,
    ...run,
    hint: 'Whole picture widths that it moves to the left over a lap.',
  }),
  runY: integer(0, {
    label: 'Runs up',
    perLap: true,
    ...run,
    hint: 'Whole picture heights that it moves up over a lap.',
  }),
  smooth: flag(true, {
    label: 'Smoothed',
    group: part,
    hint: 'Enlarged smoothly; off, its pixels stay squares with clear edges.',
  }),
};
export type Crop = FieldsValue<typeof cropFields>;

/** A part of a picture: where it begins and how far it goes to the right and down, negative where it is flipped. */
export type Rect = [number, number, number, number];

/** A cell of a picture that several panels show together. */
export interface Cell {
  column: number;
  row: number;
  columns: number;
  rows: number;
}

/**
 * The part of its picture that a panel shows.
 * @param own width over height of the picture; @param panel of the panel
 * @param cell which of all panels it is; @param key what its chance hangs on
 */
export function rectOf(crop: Crop, own: number, panel: number, cell: Cell, key: number, seed: number): Rect {
  const [h, p, q, r] = hash4(key, seed, 74, 0).map(unitFrom);
  let [wide, high] = [crop.partWide, crop.partHigh];
  let [x, y] =
    crop.parts === 'chance' ? [wide / 2 + (1 - wide) * h, high / 2 + (1 - high) * p] : [crop.partX, crop.partY];
  // keeps to the picture: a part at its border ends there
  if (crop.parts === 'same') [x, y] = [clamp(x, wide / 2, 1 - wide / 2), clamp(y, high / 2, 1 - high / 2)];
  if (crop.parts === 'split') {
    // the panels together are as wide as that many of them
    [wide, high] = fitTo(crop, wide, high, own, (panel * cell.columns) / cell.rows);
    const [left, top] = [0.5 - wide / 2, 0.5 - high / 2];
    [x, y] = [left + ((cell.column + 0.5) / cell.columns) * wide, top + ((cell.row + 0.5) / cell.rows) * high];
    [wide, high] = [wide / cell.columns, high / cell.rows];
  } else [wide, high] = fitTo(crop, wide, high, own, panel);
  const across = crop.flip === 'across' || crop.flip === 'both' || (crop.flip === 'chance' && q < 0.5);
  const down = crop.flip === 'down' || crop.flip === 'both' || (crop.flip === 'chance' && r < 0.5);
  return [
    across ? x + wide / 2 : x - wide / 2,
    down ? y + high / 2 : y - high / 2,
    across ? -wide : wide,
    down ? -high : high,
  ];
}

const clamp = (v: number, low: number, high: number): number => Math.min(Math.max(v, low), Math.max(low, high));

/** The shares of a picture that lie on something of other proportions. */
function fitTo({ fitted }: Crop, wide: number, high: number, own: number, panel: number): [number, number] {
  if (fitted === 'stretch') return [wide, high];
  const slim = (own * wide) / high / panel;
  // slim > 1: the part is wider than what it lies on
  const narrower = fitted === 'fill' ? slim > 1 : slim < 1;
  return narrower ? [wide / slim, high] : [wide, high * slim];
}

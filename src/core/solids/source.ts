import type { Axis } from '../elements/axis';
import { choice, FRAMES, heading, integer, number, outline, valueAt, type FieldsValue } from '../forms';
import { memo } from '../memo';
import type { Mesh } from './mesh';
import { broken } from './pieces';
import { solidMesh, solidOf, solidsWith, solidWords, type SolidKind } from './solids';

export type SourceName = SolidKind;

const group = heading('Source');
const proportion = { unit: '× size', min: 0.001, max: 1000, comfort: 2, group };

/** What is repeated, and what it is exchanged for between two frames. */
export const sourceFields = {
  source: choice('box', solidWords, { label: 'Body', group, hint: 'What is repeated.' }),
  outline: outline(
    [
      [0, 0.5],
      [0.14, 0.14],
      [0.5, 0],
      [0.14, -0.14],
      [0, -0.5],
      [-0.14, -0.14],
      [-0.5, 0],
      [-0.14, 0.14],
    ],
    {
      label: 'Outline',
      group,
      when: { field: 'source', is: solidsWith('outline') },
      hint: 'Points of the outline that is given depth: drag them, double-click to add one or take one away.',
    },
  ),
  sides: integer(6, {
    label: 'Sides',
    min: 3,
    max: 64,
    comfort: 12,
    group,
    when: { field: 'source', is: solidsWith('sides') },
    hint: 'Corners of the prism or frame.',
  }),
  bevel: number(0.06, {
    label: 'Bevel',
    unit: '× size',
    min: 0,
    max: 0.5,
    group,
    when: { field: 'source', is: solidsWith('bevel') },
    hint: 'Radius of its rounded edges.',
  }),
  thickness: number(0.18, {
    label: 'Thickness',
    unit: '× size',
    min: 0.005,
    max: 0.5,
    group,
    when: { field: 'source', is: solidsWith('thickness') },
    hint: 'Of the ring or the bars of a frame; width of a capsule.',
  }),
  detail: integer(3, {
    label: 'Detail',
    min: 1,
    max: 12,
    comfort: 8,
    group,
    when: { field: 'source', is: solidsWith('detail') },
    hint: 'Steps of the rounding: more is smoother and slower.',
  }),
  size: number(0.3, {
    label: 'Size',
    unit: 'm',
    min: 0.0005,
    max: 1000,
    comfort: 3,
    group,
    hint: 'Metres across.',
  }),
  wide: number(1, { label: 'Width', ...proportion, hint: 'Width as a multiple of the size.' }),
  high: number(1, { label: 'Height', ...proportion, hint: 'Height as a multiple of the size.' }),
  deep: number(1, { label: 'Depth', ...proportion, hint: 'Depth as a multiple of the size.' }),
  variation: number(0, {
    label: 'Size variation',
    min: 0,
    max: 3,
    comfort: 1,
    group,
    hint: '0: alike. 1: half to twice.',
  }),
  exchange: choice(
    'none',
    { none: 'Never', ...solidWords },
    { label: 'Exchanged', group, hint: 'Another body in its place from one frame to another; all else stays.' },
  ),
  exchangeFrom: integer(60, {
    label: 'Shown from',
    ...FRAMES,
    min: 0,
    max: 100_000,
    comfort: 250,
    group,
    when: { field: 'exchange', is: Object.keys(solidWords) },
    hint: 'First frame that shows the other body.',
  }),
  exchangeTo: integer(120, {
    label: 'Until',
    ...FRAMES,
    min: 0,
    max: 100_000,
    comfort: 250,
    group,
    when: { field: 'exchange', is: Object.keys(solidWords) },
    hint: 'First frame that shows the first body again.',
  }),
};
export type Source = FieldsValue<typeof sourceFields>;

/** The fields of a source that the form of its mesh depends on, but for its size, as they are in a layer. */
export const sourceOf = (s: Source): unknown[] =>
  Object.keys(sourceFields)
    .filter((name) => name !== 'size' && name !== 'variation')
    .map((name) => valueAt(s, name));

/** What a mesh of this source depends on. */
const keyOf = (name: SourceName, s: Source, pieces: number, seed: number): string =>
  JSON.stringify([name, s.outline, s.sides, s.bevel, s.thickness, s.detail, s.wide, s.high, s.deep, pieces, seed]);

const made = memo<Mesh>(40);

/**
 * The mesh of a source, one size across before its proportions.
 * @param pieces it is broken into; 0 leaves it whole
 */
export const sourceMesh = (name: SourceName, s: Source, pieces: number, seed: number): Mesh =>
  made(keyOf(name, s, pieces, seed), () => {
    const whole = solidMesh(name, s);
    return pieces > 1 ? broken(whole, pieces, seed) : whole;
  });

/** Turns about an axis of its own after which a body looks the same. */
export const sourceTurnStep = (name: SourceName, s: Source, axis: Axis): number => solidOf(name).turnStep(s, axis);

import type { Axis } from '../elements/axis';
import { choice, file, FRAMES, heading, integer, number, outline, valueAt, type FieldsValue } from '../forms';
import { memo } from '../memo';
import { detailsOf } from './details/details';
import type { Mesh } from './mesh';
import { MODELS } from './models/model';
import { broken } from './pieces';
import type { ModelUp, SolidShape } from './solid';
import { solidMesh, solidOf, solidsWith, solidWords, type SolidKind } from './solids';

export type SourceName = SolidKind;

const group = heading('Source');

/** Which axis of a model is up. @param when it is shown */
const modelFields = <Name extends string>(source: Name, exchanged: boolean) => {
  const when = { field: source, is: ['model'] };
  return {
    file: file('model', null, {
      label: exchanged ? 'Its model' : 'Model',
      group,
      when,
      hint: 'A model of your own or of the kit: glTF, OBJ, PLY or STL. Its longest side is its size.',
    }),
    up: choice('file', { file: 'As it is', y: 'Its y', z: 'Its z', x: 'Its x' } satisfies Record<ModelUp, string>, {
      label: 'Up is',
      group,
      when,
      hint: 'Which axis of its file is up; where the file does not say it is guessed.',
    }),
  };
};
const own = modelFields('source', false);
const other = modelFields('exchange', true);
const proportion = { unit: '× size', min: 0.001, max: 1000, comfort: 2, group };

/** What is repeated, and what it is exchanged for between two frames. */
export const sourceFields = {
  source: choice('box', solidWords, { label: 'Body', group, hint: 'What is repeated.' }),
  model: own.file,
  modelUp: own.up,
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
  exchangeModel: other.file,
  exchangeUp: other.up,
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

/** What of a source's bodies is here, of those that are files. */
const hereOf = ({ model, exchangeModel }: Source): boolean[] =>
  [model, exchangeModel].map((ref) => MODELS.at(ref) !== null);

/** The fields of a source that the form of its mesh depends on, but for its size, as they are in a layer. */
export const sourceOf = (s: Source): unknown[] => [
  ...Object.keys(sourceFields)
    .filter((name) => name !== 'size' && name !== 'variation')
    .map((name) => valueAt(s, name)),
  ...hereOf(s),
];

/** A body of a source: the one that is shown, or the one that it is exchanged for. */
export interface Body extends SolidShape {
  name: SourceName;
}
export const bodyOf = (s: Source): Body => ({ ...s, name: s.source });
export const exchangedOf = (s: Source): Body | null =>
  s.exchange === 'none' ? null : { ...s, name: s.exchange, model: s.exchangeModel, modelUp: s.exchangeUp };

/** What the mesh of a body depends on. */
const keyOf = (b: Body, pieces: number, seed: number): string =>
  JSON.stringify([
    ...[b.name, b.outline, b.sides, b.bevel, b.thickness, b.detail, b.wide, b.high, b.deep, pieces, seed],
    ...(b.name === 'model' ? [b.model?.hash, b.modelUp, MODELS.at(b.model) !== null] : []),
  ]);

/** A body is broken in no more detail than this: its pieces are cut triangle by triangle. */
const MOST_BROKEN = 20_000;

/** A mesh as coarse as one that is broken is. */
function forBreaking(mesh: Mesh): Mesh {
  if (mesh.index.length / 3 <= MOST_BROKEN) return mesh;
  const coarse = detailsOf(mesh).find(({ index }) => index.length / 3 <= MOST_BROKEN);
  return coarse ? { ...mesh, index: coarse.index } : mesh;
}

const made = memo<Mesh>(40);

/**
 * The mesh of a body, one size across before its proportions.
 * @param pieces it is broken into; 0 leaves it whole
 */
export const sourceMesh = (body: Body, pieces = 0, seed = 0): Mesh =>
  made(keyOf(body, pieces, seed), () => {
    const whole = solidMesh(body.name, body);
    return pieces > 1 ? broken(forBreaking(whole), pieces, seed) : whole;
  });

/** Turns about an axis of its own after which a body looks the same. */
export const sourceTurnStep = (body: Body, axis: Axis): number => solidOf(body.name).turnStep(body, axis);

const AXIS = { y: 'y', z: 'z', x: 'x', file: '' } as const;
const UNIT: Readonly<Record<string, string>> = { '1': 'metres', '0.01': 'centimetres', '0.001': 'millimetres' };
const three = (v: number): string => Number(v.toPrecision(3)).toLocaleString('en-US');

/** What is to be known of the model that a body is, in sentences: that it is not here, or what of it was guessed. */
export function modelRemarks({ name, model, modelUp }: Body): string[] {
  if (name !== 'model') return [];
  if (!model) return ['No model is chosen yet: an octahedron stands in its place.'];
  const facts = MODELS.at(model)?.facts;
  if (!facts) return [`“${model.name}” is not here: an octahedron stands in its place.`];
  const span = facts.span.map((v) => three(v * facts.unit)).join(' × ');
  const guessed = [
    facts.unitSaid ? '' : `its numbers are taken for ${UNIT[String(facts.unit)] ?? 'metres'}`,
    facts.upSaid || modelUp !== 'file' ? '' : `its ${AXIS[facts.up]} for up`,
  ].filter((words) => words !== '');
  return [
    `“${model.name}”: ${facts.triangles.toLocaleString('en-US')} triangles, ${span} m as it was made${guessed.length > 0 ? `; ${guessed.join(', ')}` : ''}.`,
  ];
}

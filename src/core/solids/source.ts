import type { Axis } from '../elements/axis';
import { choice, grouped, heading, integer, number, outline, shownParts, valueAt, type FieldsValue } from '../forms';
import { memo } from '../memo';
import { detailsOf } from './details/details';
import { ExchangeForm, exchangeWords, modelFields } from './exchange';
import type { Mesh } from './mesh';
import { MODELS } from './models/model';
import { broken } from './pieces';
import { PLAIN_OUTLINE, type SolidShape } from './solid';
import { solidMesh, solidOf, solidsWith, solidWords, type SolidKind } from './solids';

export type SourceName = SolidKind;

const group = heading('Source');

const ofModel = modelFields({ field: 'source', is: ['model'] });
const proportion = { unit: '× size', min: 0.001, max: 1000, comfort: 2, group };

/** What is repeated, and what it is exchanged for between two frames. */
export const sourceFields = {
  source: choice('box', solidWords, { label: 'Body', group, hint: 'What is repeated.' }),
  model: grouped(ofModel.model, group),
  modelUp: grouped(ofModel.up, group),
  outline: outline(PLAIN_OUTLINE, {
    label: 'Outline',
    group,
    when: { field: 'source', is: solidsWith('outline') },
    hint: 'Points of the outline that is given depth: drag them, double-click to add one or take one away.',
  }),
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
  exchanges: shownParts(ExchangeForm, 12, exchangeWords, {
    label: 'Exchanges',
    adds: 'Exchange',
    group,
    hint: 'Other bodies in the place of its own, each from one frame to another, for all elements or some; all else stays.',
  }),
};
export type Source = FieldsValue<typeof sourceFields>;

/** What of a source's bodies is here, of those that are files. */
const hereOf = (s: Source): boolean[] => bodiesOf(s).map(({ model }) => MODELS.at(model) !== null);

/** The fields of a source that the form of its mesh depends on, but for its size, as they are in a layer. */
export const sourceOf = (s: Source): unknown[] => [
  ...Object.keys(sourceFields)
    .filter((name) => name !== 'size' && name !== 'variation')
    .map((name) => valueAt(s, name)),
  ...hereOf(s),
];

/** A body of a source. */
export interface Body extends SolidShape {
  name: SourceName;
}
/** Its own body. */
export const bodyOf = (s: Omit<Source, 'exchanges'>): Body => ({ ...s, name: s.source });

/** Its own body, and those that it is exchanged for, in their order. */
export const bodiesOf = (s: Source): Body[] => [
  bodyOf(s),
  ...s.exchanges.map(({ body, model, up }) => ({ ...bodyOf(s), name: body, model, modelUp: up })),
];

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

/** What is amiss with the model that a body is, in sentences. */
export function modelRemarks({ name, model }: Pick<Body, 'name' | 'model'>): string[] {
  if (name !== 'model' || MODELS.at(model)) return [];
  const what = model ? `“${model.name}” is not here` : 'No model is chosen yet';
  return [`${what}: an octahedron stands in its place.`];
}

/** What is known of the model that a body is, and what of that was guessed. */
export function modelNotes({ name, model, modelUp }: Pick<Body, 'name' | 'model' | 'modelUp'>): string[] {
  const facts = name === 'model' ? MODELS.at(model)?.facts : undefined;
  if (!model || !facts) return [];
  const span = facts.span.map((v) => metres(v * facts.unit)).join(' × ');
  const guessed = [
    facts.unitSaid ? '' : `its numbers taken for ${UNITS[facts.unit] ?? 'metres'}`,
    facts.upSaid || modelUp !== 'file' ? '' : `its ${facts.up} for up`,
  ].filter((words) => words !== '');
  const said = [`${spaced(facts.triangles)} triangles`, `made ${span} m`, ...guessed].join(', ');
  return [`${model.name}: ${said}.`];
}

const UNITS: Readonly<Record<number, string>> = { 1: 'metres', 0.01: 'centimetres', 0.001: 'millimetres' };
const spaced = (v: number): string => v.toLocaleString('en-US').replaceAll(',', ' ');
const metres = (v: number): string => spaced(v < 1 ? Number(v.toPrecision(2)) : Number(v.toFixed(v < 100 ? 1 : 0)));

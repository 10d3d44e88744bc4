import { memo } from '../../memo';
import type { Mesh } from '../../solids/mesh';
import { MODELS } from '../../solids/models/model';
import { PLAIN_SHAPE } from '../../solids/solid';
import { solidMesh } from '../../solids/solids';
import { surfacePoints } from '../../solids/surface';
import { fieldShape } from './field.gen';
import type { FieldLayer } from './form';

/** How places in the cube of a field's volume are laid out, in the kernel's words: those on a body are given in the cube around it. */
export const shapeOf = ({ shape }: FieldLayer): number => fieldShape[shape === 'body' ? 'box' : shape];

const meshes = memo<Mesh>(12);
const placed = memo<Float64Array>(12);

/** What the body depends on, over whose surface particles lie. */
export const bodyKey = ({ body, model, modelUp }: FieldLayer): string =>
  JSON.stringify([body, ...(body === 'model' ? [model?.hash, modelUp, MODELS.at(model) !== null] : [])]);

/** The body over whose surface particles lie, one across. */
export const bodyMesh = (layer: FieldLayer): Mesh =>
  meshes(bodyKey(layer), () => solidMesh(layer.body, { ...PLAIN_SHAPE, model: layer.model, modelUp: layer.modelUp }));

/**
 * Places of particles all over a body, of which any first ones are a fair sample.
 * @returns for each where it is in a cube around the body, as shares 0..1 of one across, and the same density for all
 */
export const bodyPlaces = (layer: FieldLayer, count: number): Float64Array =>
  placed(`${bodyKey(layer)} ${layer.seed} ${count}`, () => {
    const points = surfacePoints(bodyMesh(layer), count, layer.seed);
    return Float64Array.from(points, (v, i) => (i % 4 === 3 ? 0.5 : v + 0.5));
  });

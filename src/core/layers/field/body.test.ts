import { beforeAll, describe, expect, it } from 'vitest';
import { pieceOf } from '../../../../tests/pieces';
import { takeStockModels } from '../../../../tests/stock';
import { stockFile } from '../../kept';
import { NearestTriangle } from '../../solids/details/nearest';
import { stateReport } from '../../seam/report';
import { layerBatch } from '../../world/batch';
import { bodyMesh, bodyPlaces } from './body';
import type { FieldLayer } from './form';

const layerOf = (fields: object): FieldLayer =>
  pieceOf({ kind: 'field', id: 'f', shape: 'body', count: 600, ...fields } as never).layers[0] as FieldLayer;

describe('particles all over a body', () => {
  beforeAll(takeStockModels);

  it.each([
    ['a ball', { body: 'sphere' }],
    ['a box', { body: 'box' }],
    ['a model', { body: 'model', model: stockFile('Cleat') }],
  ])('%s: each lies on its surface, where it stands, as large as it is said to be', (_, fields) => {
    const piece = pieceOf({
      ...{ kind: 'field', id: 'f', shape: 'body', count: 400, width: 3, ahead: 5, aside: 1, above: -0.5 },
      ...fields,
    } as never);
    const { position, index } = bodyMesh(piece.layers[0] as FieldLayer);
    const nearest = new NearestTriangle(position, index);
    const batch = layerBatch(piece, 'f', 0);
    expect(batch.position.length).toBe(1200);
    for (let i = 0; i < 1200; i += 3) {
      const [x, y, z] = [0, 1, 2].map((k) => (batch.position[i + k] - [1, -0.5, -5][k]) / 3);
      expect(nearest.to(x, y, z).distance).toBeLessThan(2e-6);
    }
  });

  it('fewer are the first of more', () => {
    const layer = layerOf({ body: 'torus' });
    expect(bodyPlaces(layer, 200)).toEqual(bodyPlaces(layer, 600).subarray(0, 800));
  });

  it('closes where the camera comes back, and is of its model again when that is brought in', () => {
    const route = { kind: 'keys', aside: 0, above: 0, ahead: 0 };
    const piece = pieceOf({ kind: 'field', id: 'f', shape: 'body', once: true } as never, { flight: { route } });
    expect(stateReport(piece).ok).toBe(true);
    const missing = layerOf({ body: 'model', model: { hash: 'c'.repeat(64), name: 'none.glb' } });
    expect(bodyMesh(missing).index.length / 3).toBe(8);
  });
});

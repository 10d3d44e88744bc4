import { describe, expect, it } from 'vitest';
import { PieceSchema, type Piece } from '../../../core/piece/schema';
import { addLayer, applyPreset, duplicateLayer, moveLayer, placeFile, removeLayer } from './layerEdits';
import { addTreatment } from './treatmentEdits';

const empty: Piece = PieceSchema.parse({
  id: 'p',
  name: 'P',
  lap: { frames: 10, rate: { num: 25, den: 1 } },
  layers: [],
  flight: {},
  look: {},
});

describe('layers', () => {
  it('are added on top with names and seeds of their own', () => {
    const one = addLayer(empty, 'field').piece;
    const two = addLayer(one, 'field').piece;
    expect(two.layers.map(({ name }) => name)).toEqual(['Particle field 2', 'Particle field']);
    expect(new Set(two.layers.map(({ seed }) => seed)).size).toBe(2);
    expect(PieceSchema.safeParse(two).success).toBe(true);
  });

  it('stand in every tile where the camera travels on, whichever preset they start from', () => {
    const travels: Piece = {
      ...empty,
      flight: PieceSchema.parse({ ...empty, flight: { route: { kind: 'run' } } }).flight,
    };
    const { piece } = addLayer(travels, 'title');
    expect(piece.layers[0].once).toBe(false);
    expect(applyPreset(piece, 0, 2).layers[0].once).toBe(false);
    const stays = PieceSchema.parse({ ...empty, flight: { route: { kind: 'run', tilesPerLap: 0 } } });
    expect(applyPreset(addLayer(stays, 'title').piece, 0, 2).layers[0].once).toBe(true);
  });

  it('keep the words that were written when they start from another preset, not those of a preset', () => {
    const { piece } = addLayer(empty, 'title');
    const second = applyPreset(piece, 0, 1);
    expect(second.layers[0]).toMatchObject({ text: 'Saltmarsh\nLamplight Week' });
    const written = { ...second, layers: [{ ...second.layers[0], text: 'First light' }] } as Piece;
    expect(applyPreset(written, 0, 3).layers[0]).toMatchObject({ text: 'First light', treatments: [{ kind: 'leap' }] });
    expect(applyPreset(second, 0, 3).layers[0]).toMatchObject({ text: 'ROPEWALK' });
  });

  it('take up a file that is dropped: the open one, or a new one', () => {
    const file = { hash: 'ab'.repeat(32), name: 'harbour.ttf' };
    const { piece, id } = addLayer(empty, 'title');
    expect(placeFile(piece, id, 'font', file)?.piece.layers).toMatchObject([{ id, font: file }]);
    const beside = placeFile(addLayer(piece, 'field').piece, null, 'mark', file);
    expect(beside?.piece.layers).toHaveLength(3);
    expect(beside?.piece.layers[0]).toMatchObject({ id: beside?.id, shows: 'mark', mark: file });
  });

  it.each([
    ['font', 'title'],
    ['mark', 'title'],
    ['picture', 'screen'],
    ['clip', 'screen'],
    ['model', 'copies'],
    ['table', null],
    ['panorama', null],
  ] as const)('a %s that is dropped where nothing is open becomes a layer of kind %s', (kind, becomes) => {
    const file = { hash: 'cd'.repeat(32), name: 'quay' };
    const { piece } = addLayer(empty, 'field');
    expect(placeFile(piece, null, kind, file)?.piece.layers[0].kind ?? null).toBe(becomes);
  });

  it('a copy keeps its seed and takes an id of its own', () => {
    const { piece, id } = addLayer(empty, 'tunnel');
    const copied = duplicateLayer(piece, id);
    expect(copied.piece.layers[1].seed).toBe(piece.layers[0].seed);
    expect(copied.id).not.toBe(id);
    expect(PieceSchema.safeParse(copied.piece).success).toBe(true);
  });

  it('what followed a removed tunnel goes straight', () => {
    const tunnel = addLayer(empty, 'tunnel');
    const both = addLayer(tunnel.piece, 'field');
    const [field, route] = both.piece.layers;
    const bound: Piece = {
      ...both.piece,
      layers: [{ ...field, follow: route.id } as typeof field, route],
      flight: {
        ...both.piece.flight,
        route: { kind: 'along', follow: route.id, tilesPerLap: 1, start: 0 },
        aimAt: { ...both.piece.flight.aimAt, on: 'layer', layer: route.id },
      },
    };
    const left = removeLayer(bound, route.id);
    expect(left.layers).toHaveLength(1);
    expect(left.layers[0]).toMatchObject({ follow: null });
    expect(left.flight.route).toMatchObject({ kind: 'along', follow: null });
    expect(left.flight.aimAt).toMatchObject({ on: 'layer', layer: null });
    // a layer that is named nowhere changes nothing
    expect(removeLayer(bound, field.id).flight).toEqual(bound.flight);
  });

  it('move to where another one is', () => {
    let piece = empty;
    for (const kind of ['field', 'tunnel', 'field'] as const) ({ piece } = addLayer(piece, kind));
    const [a, b, c] = piece.layers.map(({ id }) => id);
    expect(moveLayer(piece, a, c).layers.map(({ id }) => id)).toEqual([b, c, a]);
    expect(moveLayer(piece, c, a).layers.map(({ id }) => id)).toEqual([c, a, b]);
    expect(moveLayer(piece, 'gone', a)).toBe(piece);
  });
});

it('a treatment that asks for a ground takes the first there is', () => {
  const bare = addLayer(empty, 'copies').piece;
  const on = (piece: Piece): unknown => addTreatment(piece, 0, 'stand').piece.layers[0].treatments.at(-1);
  expect(on(bare)).toMatchObject({ kind: 'stand', on: null });
  const { piece, id } = addLayer(bare, 'ground');
  expect(on({ ...piece, layers: [...piece.layers].sort((a) => (a.kind === 'copies' ? -1 : 1)) })).toMatchObject({
    kind: 'stand',
    on: id,
  });
});

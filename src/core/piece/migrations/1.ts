import { isJson, numberOr, taken, type Json } from './json';

const moves = (value: unknown): boolean => value !== undefined && value !== 0;

/** The drift of particles became a treatment. */
function ofField(layer: Json): Json {
  const { values, rest } = taken(layer, 'drift', 'driftScale', 'driftCycles');
  const [stated, scale, cycles] = values;
  const amount = stated ?? 0.15;
  const drift = {
    kind: 'drift',
    id: 'drift',
    seed: layer.seed ?? 1,
    amount,
    scale: numberOr(scale, 2.5),
    cycles: numberOr(cycles, 3),
  };
  return { ...rest, treatments: moves(amount) ? [drift] : [] };
}

/** The disorder and turning of tunnels became treatments, and what they were built of two choices. */
function ofTunnel(layer: Json): Json {
  const { values, rest } = taken(layer, 'disorder', 'spin', 'build');
  const [stated, spin, built] = values;
  const build = built ?? 'rings';
  const radius = numberOr(layer.radius, 2);
  const disorder = numberOr(stated, 0.03);
  const disordered = {
    kind: 'disorder',
    id: 'disorder',
    seed: layer.seed ?? 1,
    amount: 1,
    shiftX: (radius * disorder) / 2,
    shiftY: (radius * disorder) / 2,
    shiftZ: 0,
    turns: disorder / 8,
    spread: disorder,
  };
  return {
    ...rest,
    lines: build === 'rings' ? 'rings' : build === 'wire' ? 'net' : 'none',
    wall: build === 'ribs' || build === 'skin' ? build : 'none',
    treatments: [
      ...(disorder > 0 ? [disordered] : []),
      ...(moves(spin) ? [{ kind: 'turn', id: 'turn', what: 'each', axis: 'along', amount: spin }] : []),
    ],
  };
}

function layerOfVersion1(layer: Json): Json {
  if (layer.kind === 'field') return ofField(layer);
  return layer.kind === 'tunnel' ? ofTunnel(layer) : { ...layer, treatments: [] };
}

/** Version 1 had the drift of particles and the turning and disorder of tunnels among the layer's own fields. */
export const from1 = (piece: Json): Json => ({
  ...piece,
  layers: Array.isArray(piece.layers)
    ? piece.layers.map((layer: unknown) => (isJson(layer) ? layerOfVersion1(layer) : layer))
    : piece.layers,
});

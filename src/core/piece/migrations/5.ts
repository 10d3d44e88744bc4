import { isJson, stated, taken, type Json } from './json';

/** Kinds of layer that had matter. */
const MADE = ['copies', 'plants', 'stream', 'ground', 'backdrop'];

function layerOfVersion5(layer: Json): Json {
  if (!MADE.includes(String(layer.kind))) return layer;
  const { values, rest } = taken(layer, 'metal', 'rough', 'glowing', 'film');
  const [metal, rough = 0.45, glowing, film] = values;
  const thin = film !== undefined && film !== 0;
  return {
    ...rest,
    matter: { kind: thin ? 'film' : 'plain', rough, ...stated({ metal, glowing }), ...(thin ? { film } : {}) },
  };
}

/** Version 5 had four values of matter among the fields of a layer. */
export const from5 = (piece: Json): Json => ({
  ...piece,
  layers: Array.isArray(piece.layers)
    ? piece.layers.map((layer: unknown) => (isJson(layer) ? layerOfVersion5(layer) : layer))
    : piece.layers,
});

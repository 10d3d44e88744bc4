import { isJson, stated, taken, type Json } from './json';

/** An effect; one whose every stated field is left out is as effects are at first. */
const effect = (kind: string, fields: Json): Json => ({ kind, id: kind, ...stated(fields) });

function lookOfVersion3(look: Json): Json {
  const { values, rest } = taken(
    look,
    ...['glow', 'vignette', 'exposure', 'curve', 'saturation', 'grain', 'grainSize', 'dither'],
  );
  const [glow, vignette, exposure, curve, saturation, grain, grainSize, dither] = values;
  return {
    ...rest,
    effects: [
      effect('glow', { layers: glow }),
      effect('vignette', { amount: vignette }),
      effect('tone', { exposure, curve, saturation }),
      effect('grain', { amount: grain, size: grainSize }),
      effect('dither', dither === false ? { off: true } : {}),
    ],
  };
}

/** Version 3 had one of each effect among the fields of the look. */
export const from3 = (piece: Json): Json => ({
  ...piece,
  look: isJson(piece.look) ? lookOfVersion3(piece.look) : piece.look,
});

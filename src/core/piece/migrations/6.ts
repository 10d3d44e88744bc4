import { isJson, type Json } from './json';

/** Suns gave π times as much as they said, and nothing cast a shadow; what is now a box in the world was one far away. */
function lightOfVersion6(light: unknown): unknown {
  if (!isJson(light)) return light;
  if (light.kind === 'softBox') return { ...light, kind: 'farBox' };
  if (light.kind !== 'sun') return light;
  const stated = typeof light.strength === 'number' ? light.strength : 2.6;
  return { ...light, strength: Number((stated / Math.PI).toPrecision(7)), wide: 0, shadow: false };
}

/** What looks had that stated no lights. */
const LIGHTS: readonly Json[] = [
  { kind: 'sun', id: 'key', name: 'Key' },
  { kind: 'sun', id: 'fill', name: 'Fill', colour: '#8fb4e0', strength: 0.9, aside: -0.86, above: 0.12, behind: 0.49 },
  { kind: 'sun', id: 'rim', name: 'Rim', colour: '#cfe4ff', strength: 2.2, aside: -0.25, above: 0.55, behind: -0.8 },
  { kind: 'softBox', id: 'top', name: 'Box above', lamp: 'warm', strength: 1.5, wide: 2.2, high: 1.1 },
  {
    ...{ kind: 'softBox', id: 'right', name: 'Box on the right', colour: '#ffe9cf', strength: 0.5 },
    ...{ aside: 0.958, above: 0.287, behind: 0, wide: 0.44, high: 1.7 },
  },
  {
    ...{ kind: 'softBox', id: 'left', name: 'Box on the left', colour: '#8fb4e0', strength: 0.9 },
    ...{ aside: -0.97, above: 0, behind: 0.243, wide: 0.24, high: 1.8 },
  },
  { kind: 'surroundings', id: 'around' },
];

/** Version 6 had suns without size or shadow, and boxes only far away. */
export const from6 = (piece: Json): Json => {
  if (!isJson(piece.look)) return piece;
  const { lights = LIGHTS } = piece.look;
  return { ...piece, look: { ...piece.look, lights: Array.isArray(lights) ? lights.map(lightOfVersion6) : lights } };
};

import { isJson, stated, taken, type Json } from './json';

const from = (aside: number, above: number, behind: number): Json => ({ aside, above, behind });

function lookOfVersion4(look: Json): Json {
  const { values, rest } = taken(look, 'rigKey', 'rigFill', 'rigRim');
  const [key = '#ffe9cf', fill = '#8fb4e0', rim = '#cfe4ff'] = values;
  // the boxes at the sides had the colours of the lights, dimmed as these were
  const dimmer = look.rig;
  const sun = (id: string, name: string, colour: unknown, strength: number, direction: Json): Json => ({
    ...{ kind: 'sun', id, name, colour, strength },
    ...direction,
  });
  const box = (id: string, name: string, strength: number, direction: Json, more: Json): Json => ({
    ...{ kind: 'softBox', id, name, strength },
    ...direction,
    ...more,
  });
  return {
    ...rest,
    lights: [
      sun('key', 'Key', key, 2.6, from(0.78, 0.5, 0.376)),
      sun('fill', 'Fill', fill, 0.9, from(-0.86, 0.12, 0.49)),
      sun('rim', 'Rim', rim, 2.2, from(-0.25, 0.55, -0.8)),
      box('top', 'Box above', 1.5, from(0, 1, 0), { lamp: 'warm', wide: 2.2, high: 1.1 }),
      box('right', 'Box on the right', 0.5, from(0.958, 0.287, 0), {
        ...stated({ colour: key, dimmer }),
        ...{ wide: 0.44, high: 1.7 },
      }),
      box('left', 'Box on the left', 0.9, from(-0.97, 0, 0.243), {
        ...stated({ colour: fill, dimmer }),
        ...{ wide: 0.24, high: 1.8 },
      }),
      { kind: 'surroundings', id: 'around', below: 0.012, overhead: 0.042 },
    ],
  };
}

/** Version 4 had three lights and three soft boxes that were always there; the look gave three colours. */
export const from4 = (piece: Json): Json => ({
  ...piece,
  look: isJson(piece.look) ? lookOfVersion4(piece.look) : piece.look,
});

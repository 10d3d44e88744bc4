import type { FileRef } from '../../core/kept';
import { hasRoom, lightName, newLight, type Light } from '../../core/look/lights/kinds';
import type { Piece } from '../../core/piece/schema';
import { bench } from './bench';
import { newId } from './edit';

const withLights = (piece: Piece, lights: Light[]): Piece => ({ ...piece, look: { ...piece.look, lights } });

/** A light in place of the one of its id. */
export const putLight = (light: Light): void =>
  bench.update((piece) =>
    withLights(
      piece,
      piece.look.lights.map((one) => (one.id === light.id ? light : one)),
    ),
  );

/** A file as what lights the piece from all around: in the panorama that shows a picture already, or in a new one while there is room. */
export function placePanorama(piece: Piece, file: FileRef): { piece: Piece; id: string; says: string } {
  const { lights } = piece.look;
  const panoramas = lights.filter((light) => light.kind === 'panorama');
  const full = hasRoom(lights, 'panorama') ? undefined : panoramas.at(-1);
  const own = panoramas.find(({ of }) => of === 'own') ?? full;
  if (own) {
    const next: Light = { ...own, of: 'own', file };
    const says = `“${lightName(own)}” shows “${file.name}” now.`;
    return {
      piece: withLights(
        piece,
        lights.map((light) => (light === own ? next : light)),
      ),
      id: own.id,
      says,
    };
  }
  const added = newLight('panorama', newId('light'), { of: 'own', file });
  return {
    piece: withLights(piece, [...lights, added]),
    id: added.id,
    says: `“${file.name}” lights the piece from all around.`,
  };
}

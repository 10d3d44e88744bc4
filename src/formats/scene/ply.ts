import { fromLinear } from '../../core/colour/colour';
import type { GivenWorld } from '../../core/world/given';
import { joined } from '../bytes';

const BYTES = 19;

/**
 * Every element of a world as a point: particles, and the middles of bodies. Polygon file format (Turk, Stanford 1994), binary, lesser byte first;
 * its radius in metres stands with each.
 */
export function pointsPly({ layers }: GivenWorld): Uint8Array<ArrayBuffer> {
  const lists = layers.flatMap(({ bodies, points, repeats }) =>
    repeats.flatMap((ahead) => [
      ...bodies.map(({ position, colour, scale }) => ({ position, colour, size: scale, ahead })),
      ...(points ? [{ ...points, ahead }] : []),
    ]),
  );
  const count = lists.reduce((sum, { size }) => sum + size.length, 0);
  const head = [
    ...['ply', 'format binary_little_endian 1.0', 'comment Isomorph: metres, y up', `element vertex ${count}`],
    ...['x', 'y', 'z', 'radius'].map((name) => `property float ${name}`),
    ...['red', 'green', 'blue'].map((name) => `property uchar ${name}`),
    'end_header',
  ];
  const body = new Uint8Array(count * BYTES);
  const view = new DataView(body.buffer);
  let at = 0;
  for (const { position, colour, size, ahead } of lists)
    for (let i = 0; i < size.length; i++) {
      for (let k = 0; k < 3; k++) view.setFloat32(at + k * 4, position[i * 3 + k] - (k === 2 ? ahead : 0), true);
      view.setFloat32(at + 12, size[i], true);
      for (let k = 0; k < 3; k++)
        body[at + 16 + k] = 255 * Math.min(1, Math.max(0, fromLinear(colour[i * 3 + k]))) + 0.5;
      at += BYTES;
    }
  return joined([new TextEncoder().encode(`${head.join('\n')}\n`), body]);
}

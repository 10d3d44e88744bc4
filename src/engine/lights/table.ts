import * as THREE from 'three';
import type { Rgb } from '../../core/colour/colour';
import type { Light } from '../../core/look/lights/kinds';
import { lightRows, lightSlots, MOST_ROWS } from '../../core/world/lights';
import type { Piece } from '../../core/piece/schema';
import { evaluateAnimated } from '../../core/time/animated';
import { LIGHT_ROWS } from './program';
import { slideOf, slidesOf } from './slides';
import { lobesTexture } from './softBox/softBox';

const WHITE: Rgb = [1, 1, 1];
const NO_TINTS: ReadonlyMap<Light, Rgb> = new Map();

/** The table of the lights, as every shader knows it that shades matter. */
export const lightUniforms = () => ({
  uLights: { value: Array.from({ length: MOST_ROWS * LIGHT_ROWS }, () => new THREE.Vector4()) },
  uBeams: { value: new Float32Array(MOST_ROWS) },
  uSurround: { value: 1 },
  uLobes: { value: lobesTexture() },
});

/**
 * Writes the lights that are on into the table.
 * @param phase not wrapped
 * @param frame of the lap, not rounded: on which a light that shines for a stretch is on or not
 * @param tints colours that the light of some is multiplied by
 */
export function setLights(
  { uLights, uBeams, uSurround }: Pick<ReturnType<typeof lightUniforms>, 'uLights' | 'uBeams' | 'uSurround'>,
  piece: Piece,
  phase: number,
  frame: number,
  tints: ReadonlyMap<Light, Rgb> = NO_TINTS,
): void {
  const slots = lightSlots(piece);
  const slides = slidesOf(piece);
  lightRows(piece, phase, frame).forEach((light, i) => {
    const { colour, strength, from, size = 0, place = [0, 0, 0], reach = 0, own = [], side = [1, 0, 0], shade } = light;
    const tint = tints.get(slots[i].light) ?? WHITE;
    const rows = uLights.value.slice(i * LIGHT_ROWS, (i + 1) * LIGHT_ROWS);
    rows[0].set(colour[0] * tint[0], colour[1] * tint[1], colour[2] * tint[2], strength);
    rows[1].set(...from, size);
    rows[2].set(...place, reach);
    // of those that fall through pictures, the fourth number says through which
    const slide = slideOf(slots[i].light);
    const cell = slide === null ? 0 : Math.max(0, slides.indexOf(slide));
    rows[3].set(own[0] ?? 0, own[1] ?? 0, own[2] ?? 0, (own[3] ?? 0) + cell);
    rows[4].set(own[4] ?? 0, own[5] ?? 0, own[6] ?? 0, own[7] ?? 0);
    rows[5].set(...side, shade);
    uBeams.value[i] = light.beam ?? 0;
  });
  // what is around has a master of its own besides the one of all lights
  uSurround.value = piece.look.surround * evaluateAnimated(piece.look.rig, phase);
}

import { describe, expect, it } from 'vitest';
import { pieceOf } from '../../../tests/pieces';
import { newLayer } from '../layers/kinds';
import { newLight, type Light } from '../look/lights/kinds';
import type { Piece } from '../piece/schema';
import { rotate, type Vec3 } from '../space/vector';
import { cameraPose } from './camera';
import { elementIn } from './elements';
import { lightRows, lightSlots, MOST_ROWS, standingOf } from './lights';
import { sceneOfPiece } from './camera';

const SWUNG = { law: 'swing', middle: 1, reach: 0.5, cycles: 1, wave: 'sine', shift: 0 } as const;

const piece = (lights: Light[], flight: object = { route: { kind: 'keys' } }, more: object = {}): Piece =>
  pieceOf({ kind: 'copies' }, { flight, look: { lights, reach: 30 }, ...more });
const travelling = { route: { kind: 'run', tilesPerLap: 2 } };
const close = (a: readonly number[], b: readonly number[], digits = 9): void =>
  a.forEach((v, k) => expect(v).toBeCloseTo(b[k], digits));

describe('where a light stands', () => {
  it('is metres aside, above and ahead of the world, which may change over the lap', () => {
    const light = newLight('point', 'a', { aside: 1, above: SWUNG, ahead: 3 });
    close(standingOf(piece([light]), light, 0.25).place, [1, 1.5, -3]);
  });

  it('is ahead of the camera wherever that goes, and turns with it', () => {
    const light = newLight('spot', 'a', { hangs: 'camera', aside: 0.5, above: 0, ahead: 2, heading: 0, tilt: 0 });
    const p = piece([light], travelling);
    for (const phase of [0, 0.3, 1.2]) {
      const { position, quaternion } = cameraPose(p, phase);
      const { place, rotation } = standingOf(p, light, phase);
      const from = rotate(quaternion, [0.5, 0, -2]);
      close(
        place,
        position.map((v, k) => v + from[k]),
      );
      close(rotate(rotation, [0, 0, -1]), rotate(quaternion, [0, 0, -1]));
    }
  });

  it('is at an element, and moves and turns with that', () => {
    const light = newLight('spot', 'a', {
      hangs: 'element',
      layer: 'one',
      element: 3,
      aside: 0,
      above: 0.5,
      ahead: 0,
      tilt: 0,
    });
    const turn = { kind: 'turn', id: 't', what: 'each', axis: 'along', amount: 0.2 };
    const p = pieceOf({ kind: 'copies', treatments: [turn] } as never, { look: { lights: [light] } });
    const at = elementIn(sceneOfPiece(p), 'one', 3, 0.2);
    expect(at).not.toBeNull();
    const off = rotate(at?.rotation ?? [0, 0, 0, 1], [0, 0.5, 0]);
    close(
      standingOf(p, light, 0.2).place,
      (at?.position ?? [0, 0, 0]).map((v, k) => v + off[k]),
    );
    expect(Math.abs(off[0])).toBeGreaterThan(0.1);
  });

  it('turned aside and up, or at a target, it shines there', () => {
    const aside = newLight('spot', 'a', { aside: 0, above: 0, ahead: 0, heading: 90, tilt: 0 });
    close(rotate(standingOf(piece([aside]), aside, 0).rotation, [0, 0, -1]), [1, 0, 0]);
    const down = newLight('spot', 'a', { aside: 0, above: 4, ahead: 0, heading: 0, tilt: -90 });
    close(rotate(standingOf(piece([down]), down, 0).rotation, [0, 0, -1]), [0, -1, 0]);
    const at = newLight('spot', 'a', {
      ...{ aside: 2, above: 4, ahead: 0, aims: 'target' },
      aimAt: { on: 'point', aside: 2, above: 1, ahead: 4 },
    });
    const row = lightRows(piece([at]), 0)[0];
    close(row.from, [0, 0.6, 0.8]);
  });
});

describe('rows of the table of lights', () => {
  it('one for what shines everywhere or hangs on the camera, several for what stands in every tile', () => {
    const lights = [
      newLight('sun', 'a'),
      newLight('point', 'b', { hangs: 'camera' }),
      newLight('spot', 'c'),
      { ...newLight('spot', 'd'), off: true },
    ];
    const of = (p: Piece): string =>
      lightSlots(p)
        .map(({ light }) => light.id)
        .join('');
    expect(of(piece(lights))).toBe('abc');
    expect(of(piece(lights, travelling))).toBe('abccccccc');
    const many = Array.from({ length: 16 }, (_, i) => newLight('point', `p${i}`));
    expect(lightSlots(piece(many, travelling)).length).toBeLessThanOrEqual(MOST_ROWS);
  });

  it('panels of a layer that lights what is near are soft boxes before them, as bright as they are, six at most', () => {
    const screen = {
      ...newLayer('screen', 'one', 'Board', 3),
      ...{ once: true, arrangement: 'line', count: 1, size: 2, shape: 'set', wide: 1.5, shows: [], lights: true },
      ...{ emission: 3, gradient: [{ at: 0, colour: '#ff0000' }], ahead: 6, above: 1, variation: 0 },
    };
    const lit = (more: object): Piece =>
      pieceOf({ ...screen, ...more } as never, { flight: { route: { kind: 'keys' } } });
    const [slot, ...rest] = lightSlots(lit({})).filter(({ shown }) => shown);
    expect(rest).toEqual([]);
    expect(slot.shown?.lamp).toMatchObject({ element: 0, wide: 1.5 });
    const row = lightRows(lit({}), 0)[lightSlots(lit({})).findIndex(({ shown }) => shown)];
    close(row.place ?? [0, 0, 0], [0, 1, -5.99]);
    // it shines towards where the lap begins
    close(row.from, [0, 0, -1], 5);
    close(row.colour, [3, 0, 0]);
    // half sides, and a radiance of 1
    expect(row.own?.slice(0, 2)).toEqual([1.5, 1]);
    expect(row.strength).toBeCloseTo(1, 9);
    const shining = (more: object): number => lightSlots(lit(more)).filter(({ shown }) => shown).length;
    expect([{ lights: false }, { hidden: true }, { stands: 'faces' }].map(shining)).toEqual([0, 0, 0]);
    expect(shining({ count: 40 })).toBe(6);
  });

  it('shine alike wherever the camera is in a tile: nothing pops as it travels, and it ends as it began', () => {
    const light = newLight('point', 'a', { aside: 1, above: 2, ahead: 1, reach: 6 });
    const p = piece([light], travelling);
    /** Light on a place that goes with the camera. */
    const onPlace = (phase: number): number => {
      const [x, y, z] = cameraPose(p, phase).position;
      return lightRows(p, phase).reduce((sum, { place = [0, 0, 0], colour }) => {
        const d2 = (place[0] - x) ** 2 + (place[1] - y) ** 2 + (place[2] - z + 4) ** 2;
        return sum + colour[0] / d2;
      }, 0);
    };
    const values = Array.from({ length: 801 }, (_, i) => onPlace(i / 400));
    const steps = values.slice(1).map((v, i) => Math.abs(v - values[i]));
    const most = Math.max(...values);
    expect(Math.max(...steps)).toBeLessThan(most * 0.05);
    expect(values[400]).toBeCloseTo(values[0], 9);
    // twice in a lap of two tiles
    expect(values[200]).toBeCloseTo(values[0], 9);
    expect(Math.min(...values)).toBeLessThan(most / 2);
  });

  it('no shadow is let go of while it counts', () => {
    const light = newLight('spot', 'a', { ahead: 1 });
    const p = piece([light], travelling);
    const slots = lightSlots(p);
    for (let i = 0; i <= 300; i++) {
      const here = -cameraPose(p, i / 300).position[2];
      lightRows(p, i / 300).forEach(({ place = [0, 0, 0], shade, colour }, row) => {
        if (colour[0] > 0 && slots[row].repetition >= 3)
          expect([row, -place[2] - here, shade < 1e-9]).toEqual([row, -place[2] - here, true]);
      });
    }
  });

  it('masters dim all but what is around, which has one of its own; a stretch switches', () => {
    const lights = [newLight('sun', 'a', { colour: '#ffffff' }), newLight('farBox', 'b')];
    const dimmed = { ...piece(lights), look: { ...piece(lights).look, rig: 0.25 } };
    expect(lightRows(dimmed, 0).map(({ colour }) => colour[0])).toEqual([0.25, 1]);
    const short = newLight('spot', 'c', { shines: 'stretch', from: 10, to: 30, fadeIn: 0, fadeOut: 0 });
    expect([5, 10, 29, 30].map((f) => lightRows(piece([short]), f / 100)[0].colour[0] > 0)).toEqual([
      false,
      true,
      true,
      false,
    ]);
    // all passes of a frame have it as the frame has
    expect(lightRows(piece([short]), 9.6 / 100, 10)[0].colour[0]).toBeGreaterThan(0);
  });

  it('a sun that turns with the camera comes from where that has it', () => {
    const sun = newLight('sun', 'a', { hangs: 'camera', aside: 0, above: 0, behind: 1 });
    const p = piece([sun], { route: { kind: 'orbit', tilesPerLap: 1 } });
    for (const phase of [0, 0.2, 0.7]) {
      const back: Vec3 = rotate(cameraPose(p, phase).quaternion, [0, 0, 1]);
      close(lightRows(p, phase)[0].from, back);
    }
  });
});

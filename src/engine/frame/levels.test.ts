import * as THREE from 'three';
import { describe, expect, it } from 'vitest';
import { demoPiece } from '../../../tests/pieces';
import { definitionOf } from '../../core/layers/kinds';
import { blurRadiusPx } from '../../core/lens/optics';
import { layerExtent } from '../../core/world/layers';
import type { LayerFrame } from '../layer/frame';
import { levelsOf, lightTargets, radiusRange } from './levels';
import { shotAt } from './shot';
import { LEVELS, Targets } from './targets';
import { makeView } from './view';

const piece = demoPiece('plankton-bloom');
const [layer] = piece.layers;
const shot = shotAt(piece, 0.2, 640);
const frame: LayerFrame = {
  piece,
  layer,
  phases: [0.2, 0.2, 0.2],
  pipeline: { element: [], piece: [], space: [], structure: '' },
  extent: layerExtent(piece, layer),
  once: false,
  look: definitionOf(layer.kind).look(layer),
  colours: new THREE.Texture(),
  moments: [],
  shareOf: () => 1,
};
const part = (near: number, far: number) => ({
  repetition: 0,
  offset: 0,
  near,
  far,
  part: { from: 0, to: 1, first: 0, count: 1 },
});

describe('light by the size of its blur', () => {
  it('no particle of a part is larger or smaller than the range of the part says', () => {
    const focus = shot.pose.focusDistance + shot.back;
    let seen = 0;
    for (const [near, far] of [
      // what is nearer has faded
      [piece.look.nearFade * 0.25, 1],
      [1, 4],
      [focus - 0.1, focus + 0.1],
      [4, 18],
    ]) {
      const { least, most } = radiusRange(frame, shot, part(near, far));
      for (let i = 0; i <= 40; i++) {
        const d = near + ((far - near) * i) / 40;
        const blur = Math.abs(blurRadiusPx(shot.apertureHalfM * 2, shot.pixelFocal, focus, d, shot.flat));
        const own = (frame.look.largestRadius * frame.extent.grown * shot.pixelFocal) / d;
        expect(blur).toBeGreaterThanOrEqual(least - 1e-9);
        expect(Math.hypot(blur, own)).toBeLessThanOrEqual(most);
        seen++;
      }
    }
    expect(seen).toBe(164);
  });

  /** The levels that are drawn for a range of radii, and what they are told. */
  function levels(least: number, most: number) {
    const view = makeView();
    const targets = new Targets(64, 36);
    const used = LEVELS.map(() => false);
    const { level: open } = lightTargets(view, targets, true, used);
    const told = levelsOf({ least, most }).map((n) => {
      const level = targets.levels.indexOf(open(n));
      const { x: size, y: from, z: to } = view.uLevel.value;
      return { level, size, from, to };
    });
    return { told, used };
  }

  it('every radius in the range has exactly one target, and only those that are needed are drawn', () => {
    for (const [least, most] of [
      [0, 3],
      [0, 9.9],
      [12, 15],
      [0, 500],
      [41, 60],
    ]) {
      const { told, used } = levels(least, most);
      for (let i = 0; i <= 50; i++) {
        const radius = least + ((most - least) * i) / 50;
        expect(told.filter(({ from, to }) => radius >= from && radius < to)).toHaveLength(1);
      }
      for (const { from, to } of told) expect(from <= most && to >= least).toBe(true);
      for (let level = 1; level < LEVELS.length; level++)
        expect(used[level - 1]).toBe(told.some((one) => one.level === level));
      expect(told.every(({ level, size }) => size === LEVELS[level])).toBe(true);
    }
  });
});

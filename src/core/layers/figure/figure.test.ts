import { describe, expect, it } from 'vitest';
import { pieceOf as pieceWith } from '../../../../tests/pieces';
import { takeStock } from '../../../../tests/stock';
import { stockFile } from '../../kept';
import { motionAt } from '../../motion/known';
import { heightOf } from '../../motion/pose';
import { stateReport } from '../../seam/report';
import type { Vec3 } from '../../space/vector';
import { sceneOfPiece } from '../../world/camera';
import { elementIn } from '../../world/elements';
import { layerElements, layerExtent, worldOf } from '../../world/layers';
import type { Piece } from '../../piece/schema';
import { solidWords } from '../../solids/solids';
import { definitionOf, nameIn } from '../kinds';
import { bonesOf } from './bones';
import { figure } from './figure';
import type { FigureLayer } from './form';
import { cycleIn, cyclesOf, wayOf } from './moves';
import { presets } from './presets';

takeStock();

const pieceOf = (more: Partial<FigureLayer>, piece: object = {}): Piece =>
  pieceWith({ kind: 'figure', above: 0, ahead: 0, ...more } as never, piece);
const layerIn = (piece: Piece): FigureLayer => piece.layers[0] as FigureLayer;
const at = (piece: Piece, phase: number) => layerElements(piece, 'one', phase);
const placeOf = ({ position }: { position: ArrayLike<number> }, i: number): Vec3 => [
  position[i * 3],
  position[i * 3 + 1],
  position[i * 3 + 2],
];
const apart = (a: Vec3, b: Vec3): number => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]);
const JOINTS = 26;
const jointNamed = (name: string): number =>
  motionAt(stockFile('Walking')).joints.findIndex((joint) => joint.name === name);

describe('a figure', () => {
  it('has every joint where its motion has it, as tall as it is said to be', () => {
    const piece = pieceOf({ tall: 2, cycles: 3 });
    const layer = layerIn(piece);
    const cycle = cycleIn(layer);
    const scale = 2 / heightOf(motionAt(layer.motion));
    expect(motionAt(layer.motion).joints).toHaveLength(JOINTS);
    for (const sample of [0, 7, 50, cycle.samples - 1]) {
      const elements = at(piece, sample / cycle.samples / 3);
      for (let j = 0; j < JOINTS; j++) {
        const [x, y, z] = cycle.places.subarray((sample * JOINTS + j) * 3, (sample * JOINTS + j) * 3 + 3);
        expect(apart(placeOf(elements, j), [x * scale, y * scale, z * scale])).toBeLessThan(1e-4);
      }
    }
  });

  it('is drawn with bones of every kind that is offered', () => {
    for (const bone of ['limb', ...Object.keys(solidWords)] as FigureLayer['bone'][]) {
      const piece = pieceOf({ drawn: 'bodies', bone, model: bone === 'model' ? stockFile('Bollard') : null });
      expect([bone, stateReport(piece).ok]).toEqual([bone, true]);
    }
  });

  it('has bones that run from joint to joint, at every moment', () => {
    const piece = pieceOf({ cycles: 2, tall: 1 });
    const { joints } = motionAt(layerIn(piece).motion);
    for (const phase of [0, 0.113, 0.4]) {
      const elements = at(piece, phase);
      for (const { joint, length } of bonesOf({ joints })) {
        const [x, y, z, w] = elements.rotation.subarray(joint * 4, joint * 4 + 4);
        // upright of the bone's own space
        const up: Vec3 = [2 * (x * y - w * z), 1 - 2 * (x * x + z * z), 2 * (y * z + w * x)];
        const end = placeOf(elements, joint);
        const begins = end.map((v, k) => v - up[k] * length) as Vec3;
        expect(apart(begins, placeOf(elements, joints[joint].parent))).toBeLessThan(2e-3);
      }
    }
  });

  it('closes: place and speed of every joint are the same a lap later', () => {
    for (const more of [
      {},
      { motion: stockFile('Tumbling'), cycles: 3 },
      { stretch: { from: 20, to: 51 }, cycles: 4 },
    ]) {
      const piece = pieceOf(more);
      const [before, start, end, after] = [-1e-4, 0, 1, 1e-4].map((phase) => at(piece, phase));
      const steps: number[] = [];
      for (let j = 0; j < JOINTS; j++) {
        expect(apart(placeOf(start, j), placeOf(end, j))).toBeLessThan(1e-4);
        const [a, b, c] = [before, start, after].map((elements) => placeOf(elements, j));
        steps.push(apart(a.map((v, k) => 2 * b[k] - v) as Vec3, c));
      }
      // a speed that jumps by a tenth of a walk's would show as a twentieth of a millimetre here
      expect(Math.max(...steps)).toBeLessThan(5e-5);
      expect(stateReport(piece).findings.filter(({ ok }) => !ok)).toEqual([]);
    }
  });

  it('that is behind another shows what that showed earlier', () => {
    const row = pieceOf({ count: 3, spacing: 0, late: 0.25, cycles: 2 });
    const now = at(row, 0.4);
    const earlier = at(row, 0.4 - 0.25 / 2);
    for (let j = 0; j < JOINTS; j++) expect(apart(placeOf(now, j * 3 + 1), placeOf(earlier, j * 3))).toBeLessThan(1e-4);
  });

  it('that goes ahead by tiles is a tile ahead a lap later, and its feet do not slide while they stand', () => {
    const piece = pieceOf({ travel: 'tiles', tiles: 2 }, { tile: 10.4 });
    const layer = layerIn(piece);
    // whole times through the stretch that come nearest to its own way
    expect(cyclesOf(layer, worldOf(piece))).toBe(Math.round(20.8 / wayOf(layer)));
    const hips = (phase: number): Vec3 => placeOf(at(piece, phase), 0);
    expect(hips(0)[2] - hips(1)[2]).toBeCloseTo(20.8, 4);
    const toe = jointNamed('Left toe');
    let [slid, stood] = [0, 0];
    const step = 1 / 2000;
    for (let phase = 0; phase < 0.25; phase += step) {
      const [a, b] = [placeOf(at(piece, phase), toe), placeOf(at(piece, phase + step), toe)];
      // on the ground, and neither coming nor leaving
      if (a[1] > 0.028 || Math.abs(a[1] - b[1]) > 1e-5) continue;
      slid += Math.hypot(a[0] - b[0], a[2] - b[2]);
      stood++;
    }
    expect(stood).toBeGreaterThan(30);
    // it goes 20.8 m a lap: feet that stand slide by less than a tenth of that pace
    expect(slid / stood / step).toBeLessThan(2);
    // while a foot is swung it is three times as fast as the walk
    expect(apart(placeOf(at(piece, 0), toe), placeOf(at(piece, 1), toe))).toBeGreaterThan(20);
  });

  it('turned round by tiles of less than 0 comes back', () => {
    const piece = pieceOf({ travel: 'tiles', tiles: -1 });
    const [start, end] = [at(piece, 0), at(piece, 1)];
    expect(placeOf(end, 0)[2] - placeOf(start, 0)[2]).toBeCloseTo(8, 4);
    // its toes are before its heels, the way it goes
    const [foot, toe] = ['Left foot', 'Left toe end'].map((name) => placeOf(start, jointNamed(name)));
    expect(toe[2]).toBeGreaterThan(foot[2]);
  });

  it('of particles has them on its bones, as far around them as said, fairly shared', () => {
    const around = 0.05;
    const piece = pieceOf({ drawn: 'points', points: 4000, around, cycles: 2, count: 2, spacing: 3 });
    const bones = pieceOf({ cycles: 2, count: 2, spacing: 3 });
    const [points, joints] = [at(piece, 0.3), at(bones, 0.3)];
    expect(points.count).toBe(8000);
    const { joints: tree } = motionAt(layerIn(piece).motion);
    const all = bonesOf({ joints: tree });
    const near = new Float64Array(all.length);
    for (let i = 0; i < points.count; i += 2) {
      const p = placeOf(points, i);
      const far = all.map(({ joint }) => {
        const [a, b] = [tree[joint].parent * 2, joint * 2].map((j) => placeOf(joints, j));
        const along = b.map((v, k) => v - a[k]);
        const share =
          along.reduce((sum, v, k) => sum + v * (p[k] - a[k]), 0) / along.reduce((sum, v) => sum + v * v, 0);
        const held = Math.min(1, Math.max(0, share));
        return apart(p, a.map((v, k) => v + along[k] * held) as Vec3);
      });
      near[far.indexOf(Math.min(...far))]++;
      const off = far.map((v, b) => v - Math.max(...all[b].radii) * Math.max(...all[b].across) * layerIn(piece).tall);
      expect(Math.min(...off)).toBeLessThan(around * 1.4);
    }
    // a thigh has more of them than a hand
    const of = (name: string): number => near[all.findIndex(({ joint }) => tree[joint].name === name)];
    expect(of('Left shin')).toBeGreaterThan(of('Left hand') * 1.5);
    expect(Math.abs(of('Left shin') - of('Right shin'))).toBeLessThan(of('Left shin') * 0.2);
  });

  it.each(presets.map(({ label }, i) => [label, i] as const))('%s: stays within the extent it states', (_, i) => {
    const { fields } = presets[i];
    const piece = pieceOf({ above: 0, ...fields, treatments: [] });
    const layer = layerIn(piece);
    const { halfWidth, halfHeight, centre, from, to } = layerExtent(piece, layer);
    for (const phase of [0, 0.31, 0.77]) {
      const { position, count } = at(piece, phase);
      for (let e = 0; e < count; e++) {
        const [x, y, z] = [0, 1, 2].map((k) => position[e * 3 + k]);
        expect(Math.max(Math.abs(x - centre[0]) - halfWidth, Math.abs(y - centre[1]) - halfHeight)).toBeLessThan(1e-4);
        expect(Math.max(from + z, -z - to)).toBeLessThan(1e-4);
      }
    }
  });

  it('has joints that others name, the same ones however many figures there are', () => {
    const head = jointNamed('Head');
    const [one, many] = [pieceOf({}), pieceOf({ count: 5, spacing: 0 })];
    const named = (piece: Piece, number: number) => elementIn(sceneOfPiece(piece), 'one', number, 0.3)?.position;
    expect(named(many, head)).toEqual(named(one, head));
    // the third of five is in the middle of their row
    expect(named(many, 2 * JOINTS + head)).toEqual(placeOf(at(many, 0.3), head * 5 + 2));
    expect(named(many, 1e9)).toEqual(placeOf(at(many, 0.3), 5 * JOINTS - 1));
    expect(nameIn(layerIn(one), head)).toBe('One, Head');
    expect(nameIn(layerIn(many), 2 * JOINTS + head)).toBe('One 3, Head');
  });

  it('whose motion is not here stands still, and says so', () => {
    const piece = pieceOf({ motion: { hash: 'ab'.repeat(32), name: 'gone.bvh' } });
    const layer = layerIn(piece);
    expect(definitionOf('figure').remarks?.(layer)).toEqual([
      '“gone.bvh” is not here: a figure that stands still is drawn. Bring the file in again.',
    ]);
    expect(at(piece, 0).count).toBe(6);
    expect([...at(piece, 0.4).position]).toEqual([...at(piece, 0).position]);
    expect(figure.remarks?.(layerIn(pieceOf({ motion: null })))).toEqual([
      'It has no motion yet: choose one, or drop a .bvh file here.',
    ]);
  });

  it('says what of its motion it goes through', () => {
    expect(figure.notes?.(layerIn(pieceOf({})))?.[0]).toMatch(
      /^26 joints, 5\.3 s: frames \d+ to \d+ close, 2\.1 s; each time it goes 2\.6 m\.$/,
    );
    expect(figure.notes?.(layerIn(pieceOf({ motion: stockFile('Mannequin') })))).toEqual(['26 joints: one pose.']);
  });
});

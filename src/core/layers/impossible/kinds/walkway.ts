import { add, subtract, type Vec3 } from '../../../space/vector';
import { beamsAlong, block, cornersOf, type Block } from '../blocks';
import type { FigureKind } from './made';
import { meeting } from './meeting';

/** A level walkway with two bends that ends, as it is seen, on top of the tower that stands where it begins. */
export const walkway: FigureKind = {
  label: 'Endless walkway',
  make({ width: w, height: h, thickness }) {
    const t = Math.min(thickness, w / 5, h / 4);
    const half = t / 2;
    const wide = t * 0.85;
    const deck = t * 0.3;
    const reads: Vec3 = [w, h, w];
    // the tower is cut just below where the end of the walkway is seen before it: so it stands before the bend it crosses
    const top = Math.max(h / 2, h - deck / 2 - (wide * h) / w - 0.05 * t);
    const places: Vec3[] = [
      [0, top, 0],
      [0, 0, 0],
      [-w / 2, 0, 0],
      [-w / 2, 0, -w],
      [-w, 0, -w],
      [-w, top - h, -w],
    ];
    const tower: Vec3 = [half, half, half];
    const level: Vec3 = [wide, deck / 2, wide];
    const [lower, first, second, third, upper] = beamsAlong(places, [tower, level, level, level, tower], reads);
    // the walkway begins under its tower, and ends over the other part of it
    const blocks: Block[] = [
      { ...lower, low: [-half, deck / 2, -half] },
      block([-wide, -deck / 2, -wide], [wide, deck / 2, wide]),
      { ...first, high: [-wide, deck / 2, wide] },
      second,
      { ...third, low: [-w - wide, -deck / 2, -w - wide] },
      upper,
    ];
    const kerb = t * 0.11;
    const edge = wide - kerb;
    // on both sides of it, each with the corners it comes to
    const kerbs = [1, -1].flatMap((side) => {
      const line: Vec3[] = [
        [wide, 0, side * edge],
        [-w / 2 + side * edge, 0, side * edge],
        [-w / 2 + side * edge, 0, -w + side * edge],
        [-w - wide, 0, -w + side * edge],
      ];
      return line.slice(1).map((to, i) => {
        const from = line[i];
        const k = i === 1 ? 2 : 0;
        const [low, high] = [subtract(from, [kerb, 0, kerb]), add(from, [kerb, 0, kerb])];
        [low[1], high[1]] = [deck / 2, deck / 2 + t * 0.26];
        [low[k], high[k]] = [i === 2 ? to[k] : to[k] - kerb, i === 0 ? from[k] : from[k] - kerb];
        return block(low, high);
      });
    });
    const before = half + t * 0.4;
    const up = deck / 2 + t * 0.3;
    const way: Vec3[] = [
      [before, top, before],
      [before, up, before],
      [-w / 2, up, 0],
      [-w / 2, up, -w],
      [-w + before, up, -w + before],
      [-w + before, top - h, -w + before],
    ];
    return {
      blocks: [...blocks, ...kerbs],
      reads,
      way,
      bends: t * 0.6,
      before: 0,
      eases: 0.6 * (h - top),
      meets: meeting(cornersOf(blocks[0]), cornersOf(upper), reads),
    };
  },
};

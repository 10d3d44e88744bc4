// Works out the colour tables that ship, each from a few lines of what it does to a colour, and writes them as .cube files.
//   node scripts/stock/tables.mjs
import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from '../run.mjs';

const SIDE = 13;
/** @typedef {[number, number, number]} Rgb */
/** @param {Rgb} c */
const luma = ([r, g, b]) => 0.2126 * r + 0.7152 * g + 0.0722 * b;
/** @param {Rgb} a @param {Rgb} b @param {number} t @returns {Rgb} */
const mix = (a, b, t) => [a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t, a[2] + (b[2] - a[2]) * t];
/** @param {number} v */
const bounded = (v) => Math.min(1, Math.max(0, v));
/** @param {number} v */
const smooth = (v) => v * v * (3 - 2 * v);
/** @param {Rgb} c @param {number} by @returns {Rgb} */
const purer = (c, by) => mix([luma(c), luma(c), luma(c)], c, by);
/** Steeper in the middle, and from `black` to `white`. @param {Rgb} c @param {number} by @param {number} black @param {number} white @returns {Rgb} */
const steeper = (c, by, black = 0, white = 1) => {
  const [r, g, b] = c.map((v) => black + (white - black) * (v + (smooth(v) - v) * by));
  return [r, g, b];
};

/** @type {Record<string, (c: Rgb) => Rgb>} */
const TABLES = {
  // lamps of sodium over blue water
  'Sodium quay': (c) => {
    const y = luma(c);
    const toned = mix(c, [y * 0.78, y * 1.0, y * 1.2 + 0.03], 0.45 * (1 - smooth(y)));
    return steeper(mix(toned, [y * 1.14, y * 0.98, y * 0.7], 0.4 * smooth(y)), 0.35);
  },
  // what is left of colours when the moon is all there is
  'Night watch': (c) => {
    const cold = purer(c, 0.45);
    return steeper([cold[0] * 0.82, cold[1] * 0.93, cold[2] * 1.06 + 0.015], 0.2, 0.012, 0.94);
  },
  // a print that hung in the sun
  'Faded chart': (c) => {
    const soft = steeper(purer(c, 0.75), -0.25, 0.075, 0.95);
    return [soft[0] * 1.02 + 0.01, soft[1], soft[2] * 0.9 + 0.03];
  },
  // paint on iron: few colours, and those hard
  'Buoy paint': (c) => {
    const [r, g, b] = steeper(purer(c, 1.35), 0.6);
    return [r * 1.03, g * 0.97, b];
  },
};

const folder = join(root, 'stock/tables');
mkdirSync(folder, { recursive: true });
for (const [name, of] of Object.entries(TABLES)) {
  const lines = [`TITLE "${name}"`, `LUT_3D_SIZE ${SIDE}`];
  for (let b = 0; b < SIDE; b++)
    for (let g = 0; g < SIDE; g++)
      for (let r = 0; r < SIDE; r++) {
        const colour = of([r / (SIDE - 1), g / (SIDE - 1), b / (SIDE - 1)]);
        lines.push(colour.map((v) => bounded(v).toFixed(5)).join(' '));
      }
  const file = `${name.toLowerCase().replaceAll(' ', '-')}.cube`;
  writeFileSync(join(folder, file), `${lines.join('\n')}\n`);
  console.log(file);
}

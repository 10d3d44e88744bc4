// Draws the two marks that ship, as SVG: the lamp of the Saltmarsh Lamplight Week, and the tide gauge of Marrow Quay.
import { writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';

/** @param {number} v */
const n = (v) => Number(v.toFixed(2));
/** @param {number} radius @param {number} turns clockwise from the top */
const at = (radius, turns) => [
  n(50 + radius * Math.sin(2 * Math.PI * turns)),
  n(50 - radius * Math.cos(2 * Math.PI * turns)),
];
/** @param {number[][]} points */
const line = (points) => `M${points.map((p) => p.join(' ')).join('L')}Z`;

/** A flame of two arcs in a ring that rays leave, long and short in turn. */
function lamp() {
  const rays = Array.from({ length: 16 }, (_, i) => {
    const [turn, long] = [i / 16, i % 2 === 0];
    const width = long ? 0.016 : 0.011;
    return line([at(33, turn - width), at(long ? 50 : 42, turn), at(33, turn + width)]);
  });
  const ring = 'M50 22a28 28 0 1 1 0 56a28 28 0 1 1 0-56ZM50 27a23 23 0 1 0 0 46a23 23 0 1 0 0-46Z';
  const flame =
    'M50 31C57 41 62 46 62 55A12 12 0 0 1 38 55C38 46 43 41 50 31ZM50 48C47 52 45 54 45 58A5 5 0 0 0 55 58C55 54 53 52 50 48Z';
  return [ring, flame, ...rays];
}

/** A gauge with a scale to its left, over three waves. */
function tide() {
  const ticks = Array.from({ length: 7 }, (_, i) => {
    const [y, long] = [10 + i * 8, i % 2 === 0];
    return `M${long ? 22 : 29} ${y}H40V${y + 3}H${long ? 22 : 29}Z`;
  });
  const gauge = 'M44 6H56V66H44Z';
  const hand = 'M60 30L78 22V38Z';
  const waves = Array.from({ length: 3 }, (_, i) => {
    const y = 72 + i * 9;
    const d = `M10 ${y}q10-6 20 0t20 0t20 0t20 0v4q-10 6-20 0t-20 0t-20 0t-20 0Z`;
    return d;
  });
  return [gauge, ...ticks, hand, ...waves];
}

for (const [name, paths] of Object.entries({ lamp: lamp(), tide: tide() })) {
  const body = paths.map((d) => `  <path d="${d}"/>`).join('\n');
  const file = fileURLToPath(new URL(`../stock/marks/${name}.svg`, import.meta.url));
  writeFileSync(file, `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 100">\n${body}\n</svg>\n`);
}

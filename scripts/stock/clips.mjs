// Draws the clips that ship, frame by frame as SVG, and encodes them (with ffmpeg): a tide chart, signal flags, a scanning beam and
// a test of lamps. Each closes: what moves in it is a function of a circle.
//   node scripts/stock/clips.mjs [NAME…]
import { once } from 'node:events';
import { spawn } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { join } from 'node:path';
import { Resvg, initWasm } from '@resvg/resvg-wasm';
import { root } from '../run.mjs';
import { chance } from './chance.mjs';
import { close, letters } from './letters.mjs';

await initWasm(readFileSync(createRequire(import.meta.url).resolve('@resvg/resvg-wasm/index_bg.wasm')));

const [WIDE, HIGH] = [640, 360];
const TURN = 2 * Math.PI;
/** @param {number} v */
const n = (v) => Number(v.toFixed(1));
/** @param {string} hex @param {number} light */
const lit = (hex, light) =>
  `#${[1, 3, 5]
    .map((i) =>
      Math.round(Math.min(255, parseInt(hex.slice(i, i + 2), 16) * light))
        .toString(16)
        .padStart(2, '0'),
    )
    .join('')}`;

/** Water over time, moving to the left by one tide; the present height as a number. @param {number} at 0..1 */
function tideChart(at) {
  const height = (/** @type {number} */ t) => 0.62 * Math.sin(TURN * t) + 0.24 * Math.sin(2 * TURN * t + 0.9);
  const y = (/** @type {number} */ t) => 190 - 96 * height(t);
  let grid = '';
  for (let i = -1; i < 13; i++) {
    const x = n(((i + 1 - ((at * 12) % 1)) * WIDE) / 12);
    grid += `M${x} 40V330`;
  }
  for (let k = 0; k < 6; k++) grid += `M0 ${50 + k * 54}H640`;
  let line = '';
  for (let x = 0; x <= WIDE; x += 8) line += `${x === 0 ? 'M' : 'L'}${x} ${n(y(at + x / WIDE))}`;
  const now = y(at + 0.72);
  const metres = (2.9 + 2.1 * height(at + 0.72)).toFixed(1);
  return `<path d="${grid}" stroke="#123641" stroke-width="1.5" fill="none"/>
<path d="${line}L640 330L0 330Z" fill="#0c4a55" fill-opacity="0.55"/><path d="${line}" fill="none" stroke="#5fe3c8" stroke-width="5"/>
<path d="M460.8 40V330" stroke="#f2b84b" stroke-width="2"/><circle cx="460.8" cy="${n(now)}" r="20" fill="#f2b84b" fill-opacity="0.25"/><circle cx="460.8" cy="${n(now)}" r="9" fill="#ffe7b4"/>
<path d="${letters('space-mono', metres, 616, 92, 64, 'end')}" fill="#ffe7b4"/><path d="${letters('saira-stencil', 'METRES OVER DATUM', 24, 30, 20, 'start', 0.08)}" fill="#5fa8a4"/>`;
}

/** Five flags on a line in the wind, of which the next comes up with every fifth of the clip. @param {number} at 0..1 */
function signalFlags(at) {
  const colours = [
    ['#f2b84b', '#123a52'],
    ['#ff7a5c', '#f4ead6'],
    ['#e8f0ea', '#2f8f93'],
    ['#2f8f93', '#f2b84b'],
    ['#f4ead6', '#ff7a5c'],
  ];
  const parts = ['<path d="M0 62H640" stroke="#5b6d70" stroke-width="4"/>'];
  for (let i = -1; i < 6; i++) {
    const step = at * 5;
    const eased = Math.floor(step) + Math.min(1, (step % 1) * 2.2) ** 2 * (3 - 2 * Math.min(1, (step % 1) * 2.2));
    const slot = (((i - eased) % 5) + 5) % 5;
    const x0 = slot * 156 - 130;
    const [a, b] = colours[((i % 5) + 5) % 5];
    const wave = (/** @type {number} */ u) => 13 * u * Math.sin(TURN * (u * 1.1 - at * 3 + i * 0.3));
    const edge = (/** @type {number} */ top) => {
      let d = '';
      for (let k = 0; k <= 10; k++)
        d += `${k === 0 ? '' : 'L'}${n(x0 + k * 11 + wave(k / 10) * 0.4)} ${n(top + wave(k / 10))}`;
      return d;
    };
    const back = (/** @type {string} */ d) => d.split('L').reverse().join('L');
    parts.push(`<path d="M${edge(70)}L${back(edge(250))}Z" fill="${a}"/>`);
    parts.push(`<path d="M${edge(i % 2 ? 130 : 70)}L${back(edge(i % 2 ? 190 : 160))}Z" fill="${b}"/>`);
  }
  parts.push(`<path d="${letters('saira-stencil', 'LAMPLIGHT WEEK', 320, 328, 44, 'middle', 0.1)}" fill="#cfe6e0"/>`);
  return parts.join('');
}

const ECHOES = Array.from({ length: 26 }, (_, i) => {
  const random = chance(900 + i * 31);
  random();
  // spread by the golden ratio, so that the beam always finds some
  return { turn: (i * 0.618034 + random() * 0.03) % 1, radius: 40 + random() * 120, size: 3 + random() * 6 };
});

/** A beam that goes around, what it met glowing after it. @param {number} at 0..1 */
function scanningBeam(at) {
  const [cx, cy] = [320, 180];
  const place = (/** @type {number} */ r, /** @type {number} */ t) =>
    `${n(cx + r * Math.sin(TURN * t))} ${n(cy - r * Math.cos(TURN * t))}`;
  const parts = [50, 100, 150].map(
    (r) => `<circle cx="${cx}" cy="${cy}" r="${r}" fill="none" stroke="#17505a" stroke-width="2"/>`,
  );
  parts.push(`<path d="M0 180H640M320 0V360" stroke="#123641" stroke-width="1.5"/>`);
  for (let k = 0; k < 36; k++) {
    const fade = (1 - k / 36) ** 2 * 0.5;
    parts.push(
      `<path d="M${cx} ${cy}L${place(172, at - k / 110)}L${place(172, at - (k + 1.1) / 110)}Z" fill="#3fe0b0" fill-opacity="${fade.toFixed(3)}"/>`,
    );
  }
  for (const { turn, radius, size } of ECHOES) {
    const since = (((at - turn) % 1) + 1) % 1;
    const light = Math.exp(-since * 3.4);
    parts.push(
      `<circle cx="${place(radius, turn).split(' ')[0]}" cy="${place(radius, turn).split(' ')[1]}" r="${size}" fill="${lit('#d8ffe9', 0.12 + 0.88 * light)}"/>`,
    );
  }
  parts.push(`<path d="M${cx} ${cy}L${place(172, at)}" stroke="#d8ffe9" stroke-width="3"/>`);
  const degrees = String(Math.floor(at * 360)).padStart(3, '0');
  parts.push(`<path d="${letters('space-mono', degrees, 620, 344, 40, 'end')}" fill="#5fe3c8"/>`);
  return parts.join('');
}

/** A field of lamps: waves of light that cross it, each a whole number of times. @param {number} at 0..1 */
function lampTest(at) {
  const parts = [];
  for (let j = 0; j < 9; j++)
    for (let i = 0; i < 16; i++) {
      const a = 0.5 + 0.5 * Math.cos(TURN * (at * 2 - (i + j) / 12));
      const b = 0.5 + 0.5 * Math.cos(TURN * (at - Math.hypot(i - 7.5, j - 4) / 7));
      const light = 0.05 + 0.95 * (a ** 6 * 0.7 + b ** 10);
      const [x, y] = [20 + i * 40, 20 + j * 40];
      parts.push(
        `<circle cx="${x}" cy="${y}" r="15" fill="${lit(j % 3 === 1 ? '#ff9a5c' : '#ffd98a', Math.min(1.1, light))}"/>`,
      );
      if (light > 0.7) parts.push(`<circle cx="${x}" cy="${y}" r="${n(7 * light)}" fill="#fff6e0"/>`);
    }
  return parts.join('');
}

/** @type {{ name: string, frames: number, rate: number, draw: (at: number) => string, ending: string, codec: string[] }[]} */
const CLIPS = [
  {
    name: 'tide-chart',
    frames: 120,
    rate: 25,
    draw: tideChart,
    ending: 'mp4',
    codec: ['-c:v', 'libx264', '-preset', 'veryslow', '-crf', '22', '-g', '24'],
  },
  {
    name: 'signal-flags',
    frames: 100,
    rate: 25,
    draw: signalFlags,
    ending: 'webm',
    codec: ['-c:v', 'libvpx-vp9', '-crf', '32', '-b:v', '0', '-g', '25', '-row-mt', '1'],
  },
  {
    name: 'scanning-beam',
    frames: 100,
    rate: 25,
    draw: scanningBeam,
    ending: 'mp4',
    codec: ['-c:v', 'libx264', '-preset', 'veryslow', '-crf', '22', '-g', '20'],
  },
  {
    name: 'lamp-test',
    frames: 72,
    rate: 24,
    draw: lampTest,
    ending: 'webm',
    codec: ['-c:v', 'libvpx-vp9', '-crf', '32', '-b:v', '0', '-g', '24', '-row-mt', '1'],
  },
];

const wanted = process.argv.slice(2);
for (const { name, frames, rate, draw, ending, codec } of CLIPS) {
  if (wanted.length > 0 && !wanted.includes(name)) continue;
  const scale = 'scale=out_color_matrix=bt709:out_range=tv:flags=accurate_rnd+full_chroma_int+full_chroma_inp';
  const colours = ['-colorspace', 'bt709', '-color_primaries', 'bt709', '-color_trc', 'bt709', '-color_range', 'tv'];
  const encoder = spawn(
    'ffmpeg',
    [
      '-y',
      '-f',
      'rawvideo',
      '-pix_fmt',
      'rgba',
      '-s',
      `${WIDE}x${HIGH}`,
      '-r',
      String(rate),
      '-i',
      '-',
      '-vf',
      scale,
      '-pix_fmt',
      'yuv420p',
      ...codec,
      ...colours,
      '-an',
      '-map_metadata',
      '-1',
      '-fflags',
      '+bitexact',
      join(root, `stock/clips/${name}.${ending}`),
    ],
    { stdio: ['pipe', 'ignore', 'inherit'] },
  );
  for (let i = 0; i < frames; i++) {
    const svg = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${WIDE} ${HIGH}"><path d="M0 0H640V360H0Z" fill="#04090e"/>${draw(i / frames)}</svg>`;
    const drawing = new Resvg(svg, { fitTo: { mode: 'width', value: WIDE } });
    const image = drawing.render();
    if (!encoder.stdin.write(Buffer.from(image.pixels))) await once(encoder.stdin, 'drain');
    image.free();
    drawing.free();
  }
  encoder.stdin.end();
  await once(encoder, 'close');
}
await close();

// Draws the pictures that ship: six boards of Marrow Quay as SVG, four surfaces as WebP (with ffmpeg). All made up.
//   node scripts/stock/pictures.mjs
import { spawnSync } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from '../run.mjs';
import { chance, noise } from './chance.mjs';
import { close, letters } from './letters.mjs';

const INK = { night: '#050b12', deep: '#0a1c28', line: '#1f5c66', pale: '#cfe6e0', amber: '#f2b84b', coral: '#ff7a5c' };
/** @param {number} v */
const n = (v) => Number(v.toFixed(1));
/** @param {string} d @param {string} fill */
const filled = (d, fill, more = '') => `<path d="${d}" fill="${fill}"${more}/>`;
/** @param {string} d @param {string} stroke @param {number} width */
const stroked = (d, stroke, width, more = '') =>
  `<path d="${d}" fill="none" stroke="${stroke}" stroke-width="${width}"${more}/>`;

/** @param {string} name @param {number} width @param {number} height @param {string[]} parts */
function board(name, width, height, parts, ground = INK.night) {
  writeFileSync(
    join(root, `stock/pictures/${name}.svg`),
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${width} ${height}" width="${width}" height="${height}"><path d="M0 0H${width}V${height}H0Z" fill="${ground}"/>${parts.join('')}</svg>\n`,
  );
}

/** Lines of equal depth around two basins, numbers between them, and the way in. */
function soundings() {
  const [w, h] = [960, 600];
  const parts = [];
  const depth = (/** @type {number} */ x, /** @type {number} */ y) =>
    Math.hypot((x - 300) / 1.5, y - 330) * 0.011 * (1 + 0.2 * noise(x / 90, y / 90, 64, 3)) -
    2.2 * Math.exp(-(((x - 700) / 190) ** 2) - ((y - 240) / 150) ** 2);
  // each line is followed by its crossings of the cells of a grid (marching squares)
  const cell = 10;
  for (let level = 0.6; level < 7; level += 0.6) {
    let d = '';
    for (let y = 0; y < h; y += cell)
      for (let x = 0; x < w; x += cell) {
        const corners = [
          [x, y],
          [x + cell, y],
          [x + cell, y + cell],
          [x, y + cell],
        ];
        const values = corners.map(([a, b]) => depth(a, b) - level);
        const cuts = corners.flatMap((from, i) => {
          const to = corners[(i + 1) % 4];
          const [a, b] = [values[i], values[(i + 1) % 4]];
          if (a < 0 === b < 0) return [];
          const t = a / (a - b);
          return [[n(from[0] + (to[0] - from[0]) * t), n(from[1] + (to[1] - from[1]) * t)]];
        });
        for (let i = 0; i + 1 < cuts.length; i += 2) d += `M${cuts[i].join(' ')}L${cuts[i + 1].join(' ')}`;
      }
    const strong = Math.round(level / 0.6) % 3 === 0;
    parts.push(stroked(d, strong ? '#2f8f93' : INK.line, strong ? 2.4 : 1.2, ' stroke-linecap="round"'));
  }
  const random = chance(41);
  let numbers = '';
  for (let i = 0; i < 70; i++) {
    const [x, y] = [30 + (i % 10) * 100 + random() * 40, 50 + Math.floor(i / 10) * 82 + random() * 34];
    const [metres, part] = String((Math.max(0.2, depth(x, y) + 1.4) * 1.3).toFixed(1)).split('.');
    numbers +=
      letters('space-mono', metres, x, y, 22) + letters('space-mono', part, x + metres.length * 13.5, y + 5, 14);
  }
  parts.push(filled(numbers, '#7fb9b4'));
  parts.push(stroked('M-10 520C180 470 260 380 420 350S700 210 980 170', INK.amber, 5, ' stroke-dasharray="22 14"'));
  parts.push(`<circle cx="700" cy="236" r="13" fill="none" stroke="${INK.coral}" stroke-width="5"/>`);
  parts.push(filled(letters('saira-stencil', 'APPROACH TO MARROW QUAY', 34, 570, 30, 'start', 0.06), INK.pale));
  board('depth-soundings', w, h, parts);
}

/** Times and heights of a week of tides. */
function table() {
  const [w, h] = [960, 600];
  const days = ['MON', 'TUE', 'WED', 'THU', 'FRI', 'SAT', 'SUN'];
  const parts = [filled(letters('saira-stencil', 'TIDES', 36, 84, 66, 'start', 0.04), INK.amber)];
  parts.push(
    filled(
      letters('saira-stencil', 'HIGH', 420, 84, 30, 'start', 0.06) +
        letters('saira-stencil', 'LOW', 700, 84, 30, 'start', 0.06),
      '#5fa8a4',
    ),
  );
  days.forEach((day, i) => {
    const y = 156 + i * 64;
    const minutes = 312 + i * 49;
    const time = (/** @type {number} */ m) =>
      `${String(Math.floor(m / 60) % 24).padStart(2, '0')}:${String(Math.floor(m % 60)).padStart(2, '0')}`;
    const high = (4.6 + 0.7 * Math.cos(i * 0.8)).toFixed(1);
    const low = (0.9 - 0.4 * Math.cos(i * 0.8)).toFixed(1);
    const ink = i === 4 ? INK.amber : INK.pale;
    if (i === 4) parts.push(filled(`M24 ${y - 44}H936V${y + 16}H24Z`, '#1c2a1e'));
    parts.push(filled(letters('space-mono', day, 40, y, 44), i === 4 ? INK.amber : '#5fa8a4'));
    parts.push(
      filled(
        letters('space-mono', `${time(minutes)} ${high}`, 300, y, 44) +
          letters('space-mono', `${time(minutes + 373)} ${low}`, 640, y, 44),
        ink,
      ),
    );
    parts.push(stroked(`M36 ${y + 19}H924`, '#123038', 2));
  });
  board('tide-table', w, h, parts);
}

/** A berth's number, as it is painted on the wall. */
function berths() {
  const [w, h] = [600, 800];
  const parts = [filled(letters('anton', '07', w / 2, 610, 560, 'middle'), '#f4ead6')];
  parts.push(filled('M0 680H600V800H0Z', INK.amber));
  for (let x = -120; x < 700; x += 90)
    parts.push(filled(`M${x} 800L${x + 120} 680H${x + 165}L${x + 45} 800Z`, '#15110a'));
  parts.push(filled(letters('saira-stencil', 'BELL BARGE', 300, 96, 60, 'middle', 0.08), INK.coral));
  board('berth-numbers', w, h, parts, '#0d1518');
}

/** The harbour from above: quays, the basin, moorings, lamps along the walls. */
function plan() {
  const [w, h] = [960, 600];
  const quays = [
    'M0 0H330L360 70V190L300 250H170L120 330V470L0 520Z',
    'M960 600H520L480 540L500 470L610 440H760L800 380V180L860 120H960Z',
    'M430 0H700L680 60L560 80L520 130H450Z',
  ];
  const parts = quays.map((d) => filled(d, '#12303a'));
  quays.forEach((d) => parts.push(stroked(d, '#3fa7a3', 3)));
  for (let i = 0; i < 9; i++) {
    const d = `M${60 + i * 96} 600C${120 + i * 96} 500 ${20 + i * 110} 360 ${200 + i * 84} 300S${260 + i * 90} 120 ${330 + i * 70} 0`;
    parts.push(stroked(d, '#0c2c36', 2));
  }
  const jetty = (
    /** @type {number} */ x,
    /** @type {number} */ y,
    /** @type {number} */ dx,
    /** @type {number} */ dy,
  ) => parts.push(stroked(`M${x} ${y}l${dx} ${dy}`, '#5fb9b0', 9));
  for (let i = 0; i < 5; i++) jetty(330 - i * 36, 200 + i * 12, 40, 62);
  for (let i = 0; i < 6; i++) jetty(520 + i * 42, 468 - i * 5, -18, -70);
  const lamps = [
    [352, 70],
    [360, 190],
    [300, 250],
    [170, 250],
    [120, 330],
    [120, 470],
    [500, 470],
    [610, 440],
    [760, 440],
    [800, 380],
    [800, 180],
    [860, 120],
    [680, 60],
    [560, 80],
    [520, 130],
    [450, 130],
  ];
  for (const [x, y] of lamps) {
    parts.push(`<circle cx="${x}" cy="${y}" r="20" fill="${INK.amber}" fill-opacity="0.16"/>`);
    parts.push(`<circle cx="${x}" cy="${y}" r="6.5" fill="#ffe7b4"/>`);
  }
  parts.push(filled(letters('saira-stencil', 'ROPEWALK', 36, 120, 40, 'start', 0.05), '#7fc9c0'));
  parts.push(filled(letters('saira-stencil', 'SLIPWAY', 700, 560, 40, 'start', 0.05), '#7fc9c0'));
  parts.push(filled(letters('spectral', 'Marrow Quay', 470, 330, 50, 'middle', 0.02), INK.pale));
  board('harbour-plan', w, h, parts, '#06141c');
}

/** A pressure gauge's dial. */
function dial() {
  const parts = [];
  const at = (/** @type {number} */ radius, /** @type {number} */ turn) => {
    const a = 2 * Math.PI * turn;
    return [n(400 - radius * Math.sin(a)), n(400 + radius * Math.cos(a))];
  };
  parts.push(
    `<circle cx="400" cy="400" r="370" fill="#0b1a20"/><circle cx="400" cy="400" r="370" fill="none" stroke="#c9a35a" stroke-width="16"/>`,
  );
  for (let i = 0; i <= 40; i++) {
    const turn = 0.125 + (i / 40) * 0.75;
    const long = i % 5 === 0;
    parts.push(
      stroked(
        `M${at(330, turn).join(' ')}L${at(long ? 276 : 304, turn).join(' ')}`,
        i > 32 ? INK.coral : INK.pale,
        long ? 9 : 4,
      ),
    );
    if (long) {
      const [x, y] = at(226, turn);
      parts.push(filled(letters('space-mono', String(i / 5), x, y + 18, 54, 'middle'), INK.pale));
    }
  }
  const [tip, left, right] = [at(300, 0.62), at(30, 0.62 - 0.25), at(30, 0.62 + 0.25)];
  parts.push(filled(`M${tip.join(' ')}L${left.join(' ')}L${right.join(' ')}Z`, INK.amber));
  parts.push('<circle cx="400" cy="400" r="44" fill="#c9a35a"/><circle cx="400" cy="400" r="17" fill="#0b1a20"/>');
  parts.push(filled(letters('saira-stencil', 'BOILER', 400, 620, 44, 'middle', 0.08), '#7fb9b4'));
  board('gauge-dial', 800, 800, parts);
}

/** Flags of the week, no two alike. */
function flags() {
  const colours = ['#f2b84b', '#ff7a5c', '#e8f0ea', '#2f8f93', '#123a52'];
  const parts = [];
  const random = chance(97);
  for (let i = 0; i < 15; i++) {
    const [x, y] = [30 + (i % 5) * 184, 28 + Math.floor(i / 5) * 190];
    const a = colours[i % 5];
    const b = colours[(i * 2 + 1 + Math.floor(random() * 3)) % 5];
    const second = a === b ? '#0a1c28' : b;
    parts.push(filled(`M${x} ${y}h160v160h-160z`, a));
    const shapes = [
      `M${x} ${y + 56}h160v48h-160z`,
      `M${x} ${y}l160 160h-160z`,
      `M${x + 80} ${y + 18}l62 62l-62 62l-62-62z`,
      `M${x} ${y}h80v80h-80zM${x + 80} ${y + 80}h80v80h-80z`,
      `M${x} ${y}l90 80l-90 80z`,
      `M${x + 56} ${y}h48v160h-48z`,
      `M${x + 80} ${y + 36}a44 44 0 1 0 .1 0z`,
    ];
    parts.push(filled(shapes[Math.floor(i * 1.7) % shapes.length], second));
  }
  board('week-flags', 960, 600, parts, '#08131a');
}

/**
 * A surface that repeats at its edges, as WebP.
 * @param {string} name @param {(x: number, y: number) => number[]} colour of a place 0..1: red, green, blue and alpha, 0..1, encoded
 */
function surface(name, colour, size = 512) {
  const bytes = Buffer.alloc(size * size * 4);
  for (let y = 0; y < size; y++)
    for (let x = 0; x < size; x++) {
      const c = colour((x + 0.5) / size, (y + 0.5) / size);
      for (let k = 0; k < 4; k++) bytes[(y * size + x) * 4 + k] = Math.round(255 * Math.min(1, Math.max(0, c[k] ?? 1)));
    }
  const args = ['-y', '-f', 'rawvideo', '-pix_fmt', 'rgba', '-s', `${size}x${size}`, '-i', '-'];
  const made = spawnSync(
    'ffmpeg',
    [...args, '-c:v', 'libwebp', '-quality', '82', join(root, `stock/pictures/${name}.webp`)],
    { input: bytes },
  );
  if (made.status !== 0) throw new Error(String(made.stderr));
}

/** @param {number[]} a @param {number[]} b @param {number} t */
const mixed = (a, b, t) => a.map((v, i) => v + (b[i] - v) * t);
const smooth = (/** @type {number} */ a, /** @type {number} */ b, /** @type {number} */ v) => {
  const t = Math.min(1, Math.max(0, (v - a) / (b - a)));
  return t * t * (3 - 2 * t);
};

function surfaces() {
  surface('weathered-planks', (x, y) => {
    const plank = Math.floor(y * 6);
    const [u, v] = [x + plank * 0.37, (y * 6) % 1];
    const grain = 0.5 + 0.5 * noise(u * 4, y * 90, 1024, 5 + plank) * 0.7 + 0.25 * noise(u * 16, y * 240, 2048, 9);
    const wood = mixed([0.16, 0.15, 0.14], [0.52, 0.49, 0.44], Math.min(1, Math.max(0, grain)));
    const paint = smooth(0.1, 0.35, noise(x * 4 + plank, y * 8, 32, 21 + plank) + 0.3 * noise(x * 24, y * 24, 24, 4));
    const tone = mixed(wood, plank % 2 ? [0.1, 0.36, 0.38] : [0.62, 0.5, 0.28], paint * 0.8);
    const gap = smooth(0, 0.03, v) * smooth(1, 0.97, v);
    return tone.map((c) => c * (0.15 + 0.85 * gap));
  });
  surface('rope-weave', (x, y) => {
    const k = 8;
    const [u, v] = [x * k, y * k];
    const over = (Math.floor(u) + Math.floor(v)) % 2 === 0;
    const [along, across] = over ? [u % 1, v % 1] : [v % 1, u % 1];
    const round = Math.sqrt(Math.max(0, 1 - (across * 2 - 1) ** 2));
    const strand = 0.5 + 0.5 * Math.sin(2 * Math.PI * (along * 3 + across * 1.4));
    const light = round * (0.35 + 0.65 * Math.sin(Math.PI * along)) * (0.6 + 0.4 * strand);
    const fibre = 0.85 + 0.15 * noise(x * 128, y * 128, 128, 2);
    return mixed([0.08, 0.06, 0.04], [0.86, 0.7, 0.43], light * fibre);
  });
  const points = Array.from({ length: 46 }, (_, i) => {
    const random = chance(500 + i * 77);
    random();
    return [random(), random(), random()];
  });
  surface('salt-crystals', (x, y) => {
    let [first, second, own] = [9, 9, 0];
    for (const [px, py, tone] of points) {
      const d = Math.hypot(...[x - px, y - py].map((v) => v - Math.round(v)));
      if (d < first) [second, first, own] = [first, d, tone];
      else if (d < second) second = d;
    }
    const edge = smooth(0.0, 0.03, second - first);
    const facet = 0.45 + 0.5 * own + 0.12 * noise(x * 32, y * 32, 32, 6) - first * 1.8;
    return mixed([0.95, 0.98, 1], mixed([0.12, 0.2, 0.24], [0.82, 0.88, 0.9], Math.max(0, Math.min(1, facet))), edge);
  });
  surface('net-and-floats', (x, y) => {
    const k = 8;
    const bend = 0.04 * Math.sin(2 * Math.PI * (x + 2 * y)) + 0.03 * Math.cos(2 * Math.PI * (2 * x - y));
    const [u, v] = [(x + y) * k + bend * k, (x - y) * k - bend * k];
    const off = Math.min(Math.abs(u - Math.round(u)), Math.abs(v - Math.round(v)));
    const cord = smooth(0.1, 0.055, off);
    const [cx, cy] = [Math.round(x * 2 - 0.5) / 2 + 0.25, Math.round(y * 2 - 0.5) / 2 + 0.25];
    const [dx, dy] = [x - cx, y - cy];
    const float = smooth(0.086, 0.08, Math.hypot(dx, dy));
    const lit = 0.35 + 0.65 * Math.max(0, 1 - Math.hypot(dx + 0.03, dy + 0.035) / 0.1);
    const colour = mixed(
      [0.5, 0.62, 0.56].map((c) => c * (0.6 + 0.4 * (off < 0.03 ? 1 : 0.4))),
      [1, 0.46, 0.22].map((c) => c * lit),
      float,
    );
    return [...colour, Math.max(cord, float)];
  });
}

soundings();
table();
berths();
plan();
dial();
flags();
surfaces();
await close();

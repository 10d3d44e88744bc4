// Models the kit that ships: a dozen things of a harbour, in metres, y up, front towards +z, with matter of their own. Each a GLB.
//   node scripts/stock/models.mjs [NAME…]
import { createHash } from 'node:crypto';
import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { Document, WebIO } from '@gltf-transform/core';
import { KHRMaterialsEmissiveStrength } from '@gltf-transform/extensions';
import { PNG } from 'pngjs';
import { modulesOf } from '../modules.mjs';
import { root } from '../run.mjs';
import { noise } from './chance.mjs';
import {
  arc,
  around,
  block,
  disc,
  joined,
  lathe,
  moved,
  ring,
  rounded,
  scaled,
  slab,
  tube,
  turned,
} from './shapes.mjs';

/**
 * @typedef {import('./shapes.mjs').Shape} Shape
 * @typedef {import('./shapes.mjs').Vec3} Vec3
 * @typedef {{ hex: string, rough: number, metal: number, glow?: number, map?: 'grain' | 'wear', relief?: 'tread' }} Paint
 */

/** What things of the harbour are made of. @type {Record<string, Paint>} */
const PAINTS = {
  iron: { hex: '#3d4247', rough: 0.5, metal: 0.85 },
  zinc: { hex: '#9aa3a8', rough: 0.38, metal: 0.9 },
  brass: { hex: '#c9a35a', rough: 0.26, metal: 0.95 },
  red: { hex: '#c23a2b', rough: 0.45, metal: 0.1, map: 'wear' },
  white: { hex: '#e6e3da', rough: 0.5, metal: 0, map: 'wear' },
  green: { hex: '#2f6a57', rough: 0.45, metal: 0.1, map: 'wear' },
  yellow: { hex: '#d9a72c', rough: 0.45, metal: 0.05, map: 'wear' },
  plate: { hex: '#6f777c', rough: 0.42, metal: 0.8, relief: 'tread' },
  wood: { hex: '#b98d5a', rough: 0.6, metal: 0, map: 'grain' },
  rope: { hex: '#c8b58c', rough: 0.85, metal: 0 },
  rubber: { hex: '#1b1c1e', rough: 0.8, metal: 0 },
  lamp: { hex: '#ffd9a0', rough: 0.4, metal: 0, glow: 3 },
  signal: { hex: '#ff5a3c', rough: 0.4, metal: 0, glow: 4 },
};

const bolts = (/** @type {number} */ count, /** @type {number} */ radius, size = 0.02) =>
  around(count, () =>
    moved(
      lathe(
        [
          [0, 0],
          [size, 0, 0],
          [size, size * 0.5, size * 0.3],
          [0, size * 0.6],
        ],
        6,
        2,
      ),
      radius,
      0,
      0,
    ),
  );

/** @type {(w: number, h: number, r: number) => number[][]} */
const rectangle = (w, h, r) =>
  rounded(
    [
      [-w / 2, -h / 2, r],
      [w / 2, -h / 2, r],
      [w / 2, h / 2, r],
      [-w / 2, h / 2, r],
    ],
    true,
    6,
  );

/** An outline of two half circles. @type {(long: number, wide: number, steps?: number) => Vec3[]} */
const stadium = (long, wide, steps = 14) => {
  const half = (long - wide) / 2;
  return [
    ...arc(wide / 2, -0.25, 0.25, steps).map(([x, y]) => /** @type {Vec3} */ ([half + x, y, 0])),
    ...arc(wide / 2, 0.25, 0.75, steps).map(([x, y]) => /** @type {Vec3} */ ([-half + x, y, 0])),
  ];
};

/** What each model is put together from, by what it is painted with. @type {Record<string, () => Partial<Record<keyof typeof PAINTS, Shape>>>} */
const MODELS = {
  Capstan: () => ({
    iron: joined(
      lathe(
        [
          [0, 0],
          [0.42, 0, 0.02],
          [0.42, 0.07, 0.02],
          [0.3, 0.1, 0.03],
          [0.22, 0.2, 0.1],
          [0.19, 0.4, 0.2],
          [0.25, 0.58, 0.05],
          [0.25, 0.6],
        ],
        48,
      ),
      around(6, () => moved(block(0.03, 0.3, 0.05), 0, 0.34, 0.21)),
    ),
    red: lathe(
      [
        [0.25, 0.6],
        [0.33, 0.61, 0.02],
        [0.33, 0.78, 0.02],
        [0.28, 0.82, 0.03],
        [0.13, 0.84],
      ],
      48,
    ),
    rubber: around(8, () => moved(block(0.06, 0.07, 0.05, 0.006), 0, 0.695, 0.315)),
    brass: joined(
      lathe(
        [
          [0.13, 0.84],
          [0.13, 0.86, 0.01],
          [0.08, 0.9, 0.04],
          [0, 0.91],
        ],
        32,
      ),
      moved(bolts(8, 0.37, 0.026), 0, 0.07, 0),
    ),
  }),
  Bollard: () => ({
    iron: lathe(
      [
        [0, 0],
        [0.34, 0, 0.015],
        [0.34, 0.06, 0.02],
        [0.2, 0.09, 0.06],
        [0.165, 0.3, 0.1],
        [0.18, 0.52, 0.06],
        [0.24, 0.58, 0.05],
        [0.235, 0.68, 0.06],
        [0.12, 0.74, 0.05],
        [0, 0.755],
      ],
      48,
    ),
    yellow: lathe(
      [
        [0.1672, 0.34],
        [0.178, 0.34, 0.004],
        [0.183, 0.46, 0.004],
        [0.172, 0.46],
      ],
      48,
      2,
    ),
    brass: moved(bolts(6, 0.29, 0.026), 0, 0.06, 0),
    zinc: joined(
      turned(
        tube(
          [
            [-0.42, 0, 0],
            [-0.4, 0, 0],
            [0.4, 0, 0],
            [0.42, 0, 0],
          ].map(([x]) => /** @type {Vec3} */ ([x, 0.5, 0])),
          (t) => (t < 0.2 || t > 0.8 ? 0.03 : 0.042),
          { sides: 20 },
        ),
        'y',
        0.125,
      ),
    ),
  }),
  Cleat: () => {
    /** @type {Vec3[]} */
    const horn = Array.from({ length: 33 }, (_, i) => {
      const x = (i / 32) * 2 - 1;
      return [x * 0.48, 0.2 + 0.07 * x * x * x * x - 0.012 * Math.cos(x * 3), 0];
    });
    return {
      zinc: joined(
        tube(horn, (t) => 0.052 * Math.sqrt(Math.max(0.02, 1 - Math.abs(2 * t - 1) ** 3)), { sides: 20 }),
        ...[-0.13, 0.13].map((x) =>
          moved(
            lathe(
              [
                [0.062, 0.02],
                [0.062, 0.05, 0.02],
                [0.04, 0.1, 0.05],
                [0.046, 0.19],
              ],
              28,
            ),
            x,
            0,
            0,
          ),
        ),
        moved(turned(slab(rectangle(0.52, 0.17, 0.08), 0.04, 0.008), 'x', 0.25), 0, 0.02, 0),
      ),
      brass: joined(
        ...[-0.21, 0.21].map((x) =>
          moved(
            lathe(
              [
                [0, 0],
                [0.022, 0, 0],
                [0.022, 0.006, 0.003],
                [0, 0.012],
              ],
              20,
              2,
            ),
            x,
            0.04,
            0,
          ),
        ),
      ),
    };
  },
  'Bulkhead lamp': () => ({
    iron: joined(
      turned(
        lathe(
          [
            [0, 0],
            [0.3, 0, 0.012],
            [0.3, 0.05, 0.02],
            [0.26, 0.09, 0.02],
            [0.22, 0.09],
          ],
          48,
        ),
        'x',
        0.25,
      ),
      moved(ring(0.235, 0.02, 56), 0, 0, 0.1),
    ),
    brass: joined(
      ...[0, 0.25].map((t) =>
        turned(
          tube(
            arc(0.245, 0, 0.5, 28).map(([x, y]) => /** @type {Vec3} */ ([x, 0, 0.09 + y * 0.86])),
            () => 0.011,
            { sides: 10 },
          ),
          'z',
          t,
        ),
      ),
      moved(ring(0.2, 0.01, 48, 8), 0, 0, 0.19),
      turned(moved(bolts(6, 0.265, 0.016), 0, 0.075, 0), 'x', 0.25),
    ),
    lamp: turned(
      lathe(
        [
          [0.2, 0.085],
          [0.2, 0.12, 0.05],
          [0.165, 0.21, 0.09],
          [0.07, 0.26, 0.08],
          [0, 0.265],
        ],
        40,
      ),
      'x',
      0.25,
    ),
  }),
  'Storm lantern': () => ({
    green: joined(
      lathe(
        [
          [0, 0],
          [0.17, 0, 0.01],
          [0.18, 0.03, 0.02],
          [0.17, 0.12, 0.04],
          [0.1, 0.16, 0.02],
          [0.1, 0.19],
        ],
        40,
      ),
      lathe(
        [
          [0.1, 0.52],
          [0.115, 0.53, 0.01],
          [0.1, 0.58, 0.02],
          [0.07, 0.62, 0.03],
          [0.075, 0.68, 0.01],
          [0.05, 0.7, 0.02],
          [0, 0.705],
        ],
        40,
      ),
      ...[-1, 1].map((s) =>
        tube(
          [
            [s * 0.15, 0.1, 0],
            [s * 0.2, 0.16, 0],
            [s * 0.21, 0.3, 0],
            [s * 0.2, 0.5, 0],
            [s * 0.14, 0.6, 0],
            [s * 0.07, 0.63, 0],
          ],
          () => 0.014,
          { sides: 12 },
        ),
      ),
    ),
    zinc: joined(
      tube(
        arc(0.24, 0.02, 0.48, 32).map(([x, y]) => /** @type {Vec3} */ ([x, 0.58 + y * 1.15, 0])),
        () => 0.008,
        { sides: 8 },
      ),
      ...[0.25, 0.4].map((y) => moved(turned(ring(0.124, 0.006, 40, 8), 'x', 0.25), 0, y + 0.03, 0)),
      around(4, () =>
        tube(
          [
            [0, 0.18, 0.1],
            [0, 0.26, 0.125],
            [0, 0.42, 0.125],
            [0, 0.53, 0.1],
          ],
          () => 0.006,
          { sides: 8 },
        ),
      ),
    ),
    lamp: lathe(
      [
        [0.085, 0.19],
        [0.1, 0.24, 0.04],
        [0.115, 0.35, 0.1],
        [0.1, 0.46, 0.06],
        [0.08, 0.525],
      ],
      32,
    ),
  }),
  Grating: () => ({
    zinc: joined(
      ...[-1, 1].flatMap((s) => [
        moved(block(1, 0.07, 0.05), 0, s * 0.465, 0),
        moved(block(0.05, 0.86, 0.07), s * 0.475, 0, 0),
      ]),
      ...Array.from({ length: 9 }, (_, i) => moved(block(0.016, 0.88, 0.05, 0.003), (i - 4) * 0.093, 0, 0)),
    ),
    iron: joined(...Array.from({ length: 9 }, (_, i) => moved(block(0.92, 0.012, 0.03, 0.002), 0, (i - 4) * 0.092, 0))),
    yellow: joined(
      ...[-1, 1].flatMap((s) => [-1, 1].map((t) => moved(block(0.11, 0.11, 0.078), s * 0.45, t * 0.45, 0))),
    ),
  }),
  'Pulley block': () => {
    const cheek = rounded(
      [
        [-0.2, -0.3, 0.19],
        [0.2, -0.3, 0.19],
        [0.2, 0.3, 0.19],
        [-0.2, 0.3, 0.19],
      ],
      true,
      10,
    );
    return {
      wood: joined(...[-1, 1].map((s) => moved(slab(cheek, 0.09, 0.03), 0, 0, s * 0.1))),
      brass: joined(
        turned(
          lathe(
            [
              [0.03, -0.045],
              [0.17, -0.045, 0.01],
              [0.16, -0.02, 0.03],
              [0.125, 0, 0.02],
              [0.16, 0.02, 0.03],
              [0.17, 0.045, 0.01],
              [0.03, 0.045],
            ],
            44,
          ),
          'x',
          0.25,
        ),
        ...[-1, 1].map((s) => moved(disc(0.05, 0.03), 0, 0, s * 0.155)),
      ),
      iron: joined(
        ...[-1, 1].map((s) => moved(slab(rectangle(0.07, 0.66, 0.02), 0.02, 0.006), 0, 0.02, s * 0.152)),
        moved(block(0.09, 0.035, 0.33), 0, 0.345, 0),
        moved(disc(0.032, 0.34), 0, 0, 0),
        moved(
          tube(stadium(0.26, 0.15), () => 0.022, { closed: true, sides: 14 }),
          0,
          0,
          0,
        ),
      ),
    };
  },
  'Hatch frame': () => ({
    red: joined(
      tube(
        rectangle(0.86, 0.86, 0.2).map(([x, y]) => /** @type {Vec3} */ ([x, y, 0.02])),
        () => 0.055,
        { closed: true, sides: 16 },
      ),
    ),
    plate: slab(rectangle(0.82, 0.82, 0.18), 0.03, 0.006),
    iron: joined(
      moved(ring(0.17, 0.022, 48), 0, 0, 0.08),
      ...[0, 1 / 3, 2 / 3].map((t) =>
        turned(
          tube(
            [
              [0.02, 0, 0.07],
              [0.17, 0, 0.08],
            ],
            () => 0.014,
            { sides: 10 },
          ),
          'z',
          t,
        ),
      ),
      moved(disc(0.05, 0.1), 0, 0, 0.06),
      ...[-1, 1].map((s) => moved(block(0.12, 0.14, 0.08), -0.46, s * 0.24, 0.02)),
    ),
    brass: turned(moved(bolts(12, 0.355, 0.02), 0, 0.012, 0), 'x', 0.25),
  }),
  Shackle: () => {
    /** @type {Vec3[]} */
    const bow = [
      [-0.15, -0.27, 0],
      [-0.17, -0.16, 0],
      ...arc(0.22, 0.55, -0.05, 40).map(([x, y]) => /** @type {Vec3} */ ([x, y + 0.08, 0])),
      [0.17, -0.16, 0],
      [0.15, -0.27, 0],
    ];
    return {
      zinc: joined(
        tube(bow, (t) => 0.05 + 0.006 * Math.cos((t - 0.5) * 6), { sides: 20 }),
        ...[-1, 1].map((s) => moved(turned(disc(0.085, 0.075), 'y', 0.25), s * 0.15, -0.31, 0)),
      ),
      yellow: joined(
        moved(turned(disc(0.05, 0.44, 0.008), 'y', 0.25), 0.01, -0.31, 0),
        moved(turned(disc(0.08, 0.05, 0.008, 6), 'y', 0.25), -0.23, -0.31, 0),
      ),
      iron: moved(turned(ring(0.042, 0.009, 24, 8), 'y', 0.25), 0.235, -0.31, 0),
    };
  },
  Fairlead: () => ({
    green: joined(
      moved(turned(slab(rectangle(0.96, 0.36, 0.1), 0.07, 0.014), 'x', 0.25), 0, 0.035, 0),
      ...[-1, 1].map((s) =>
        moved(
          slab(
            rounded(
              [
                [-0.12, 0, 0],
                [0.12, 0, 0],
                [0.075, 0.5, 0.07],
                [-0.075, 0.5, 0.07],
              ],
              true,
              5,
            ),
            0.055,
            0.012,
          ),
          0,
          0.06,
          s * 0.13,
        ),
      ),
    ),
    zinc: joined(
      ...[-0.3, 0.3].map((x) =>
        moved(
          lathe(
            [
              [0, 0],
              [0.13, 0, 0.01],
              [0.13, 0.03, 0.02],
              [0.08, 0.08, 0.06],
              [0.075, 0.24, 0.1],
              [0.08, 0.36, 0.06],
              [0.13, 0.41, 0.02],
              [0.13, 0.43, 0.01],
              [0, 0.44],
            ],
            40,
          ),
          x,
          0.07,
          0,
        ),
      ),
      moved(disc(0.06, 0.36), 0, 0.42, 0),
    ),
    brass: joined(
      ...[-0.3, 0.3].map((x) =>
        moved(
          lathe(
            [
              [0.05, 0],
              [0.05, 0.02, 0.008],
              [0, 0.03],
            ],
            24,
          ),
          x,
          0.51,
          0,
        ),
      ),
      ...[-1, 1].flatMap((s) =>
        [-1, 1].map((t) =>
          moved(
            lathe(
              [
                [0, 0],
                [0.024, 0],
                [0.024, 0.014, 0.006],
                [0, 0.016],
              ],
              6,
              2,
            ),
            s * 0.42,
            0.07,
            t * 0.11,
          ),
        ),
      ),
    ),
  }),
  Chain: () => {
    const link = () => tube(stadium(0.42, 0.25, 16), () => 0.045, { closed: true, sides: 16 });
    return {
      iron: joined(...[-1, 1].map((s) => moved(link(), s * 0.32, 0, 0))),
      zinc: joined(turned(link(), 'x', 0.25)),
      red: joined(...[-1, 1].map((s) => moved(block(0.05, 0.19, 0.05), s * 0.32, 0, 0))),
    };
  },
  'Ring buoy': () => {
    const part = (/** @type {number} */ from, /** @type {number} */ to) =>
      tube(
        arc(0.38, from, to, 14).map(([x, y]) => /** @type {Vec3} */ ([x, y, 0])),
        () => 0.11,
        { sides: 24 },
      );
    const bands = Array.from({ length: 4 }, (_, i) => i / 4);
    return {
      white: joined(...bands.map((t) => part(t + 0.035, t + 0.215))),
      red: joined(...bands.map((t) => scaled(part(t - 0.036, t + 0.036), 1.0))),
      rope: joined(
        ...bands.map((t) =>
          tube(
            arc(1, t + 0.0, t + 0.25, 24).map(([x, y], i) => {
              const out = 0.505 + 0.045 * Math.sin((i / 24) * Math.PI);
              return /** @type {Vec3} */ ([x * out, y * out, 0]);
            }),
            () => 0.014,
            { sides: 10 },
          ),
        ),
        ...bands.map((t) => turned(moved(turned(ring(0.117, 0.016, 28, 8), 'x', 0.25), 0.38, 0, 0), 'z', t)),
      ),
      signal: moved(
        lathe(
          [
            [0, -0.03],
            [0.035, -0.03, 0.01],
            [0.035, 0.02, 0.02],
            [0, 0.045],
          ],
          24,
        ),
        0,
        0.52,
        0,
      ),
    };
  },
};

const SIDE = 256;
const byte = (/** @type {number} */ v) => Math.round(255 * Math.min(1, Math.max(0, v)));

/** @param {(x: number, y: number) => number[]} of red, green, blue 0..1 by the place, in shares of a side that closes on itself */
function picture(of) {
  const png = new PNG({ width: SIDE, height: SIDE });
  for (let y = 0; y < SIDE; y++)
    for (let x = 0; x < SIDE; x++) {
      const rgb = of(x / SIDE, y / SIDE);
      [...rgb.map(byte), 255].forEach((v, k) => (png.data[(y * SIDE + x) * 4 + k] = v));
    }
  return new Uint8Array(PNG.sync.write(png, { colorType: 2 }));
}

/** Octaves of noise that closes on itself. */
const rough = (
  /** @type {number} */ x,
  /** @type {number} */ y,
  /** @type {number} */ period,
  /** @type {number} */ seed,
) => [1, 2, 4, 8].reduce((sum, f) => sum + noise(x * period * f, y * period * f, period * f, seed + f) / f, 0) / 2;

const PICTURES = {
  // growth rings, stretched along the grain
  grain: () =>
    picture((x, y) => {
      const wave = rough(x, y, 3, 5);
      const line = 0.5 + 0.5 * Math.sin((x * 9 + wave * 1.4) * 2 * Math.PI);
      const fine = noise(x * 64, y * 4, 64, 9) * 0.08;
      const v = 0.72 + 0.28 * line + fine;
      return [v, v * 0.93, v * 0.82];
    }),
  // paint that has weathered: what was knocked off is dark, roughness is in green, metal in blue
  wear: () =>
    picture((x, y) => {
      const v = 0.93 + 0.1 * rough(x, y, 4, 21) - 0.5 * Math.max(0, rough(x, y, 6, 33) - 0.42);
      return [v, v, v];
    }),
  // ribs of a plate one walks on, as the way it faces
  tread: () => {
    const high = (/** @type {number} */ x, /** @type {number} */ y) => {
      const [u, v] = [x * 8, y * 8];
      const odd = (Math.floor(u) + Math.floor(v)) % 2 === 1;
      const [a, b] = [(u % 1) - 0.5, (v % 1) - 0.5];
      const along = odd ? a + b : a - b;
      const across = odd ? a - b : a + b;
      return 1 / (1 + Math.exp(28 * (Math.hypot(along / 0.55, across / 0.16) - 1)));
    };
    return picture((x, y) => {
      const step = 0.5 / SIDE;
      const wrap = (/** @type {number} */ v) => ((v % 1) + 1) % 1;
      const dx = (high(wrap(x + step), y) - high(wrap(x - step), y)) * 1.6;
      const dy = (high(x, wrap(y + step)) - high(x, wrap(y - step))) * 1.6;
      const long = Math.hypot(dx, dy, 1);
      // green goes up, rows run down
      return [0.5 - dx / long / 2, 0.5 + dy / long / 2, 0.5 + 0.5 / long];
    });
  },
};

const vite = await modulesOf();
const { cornerNormals } = await vite.ssrLoadModule('/src/core/solids/models/normals.ts');
const { toLinear } = await vite.ssrLoadModule('/src/core/colour/colour.ts');
const { weldRows } = await vite.ssrLoadModule('/src/core/solids/weld.ts');
const linear = (/** @type {string} */ hex) =>
  [1, 3, 5].map((i) => Number(toLinear(parseInt(hex.slice(i, i + 2), 16) / 255).toFixed(5)));

/** Corners with normals, and one vertex for those that are the same. @param {Shape} shape */
function withNormals({ position, uv, index }) {
  const at = Float32Array.from(position.map((v) => Math.round(v * 1e5) / 1e5));
  const corners = Uint32Array.from(index);
  const normals = cornerNormals({ position: at, index: corners });
  const rows = new Int32Array(corners.length * 8);
  corners.forEach((v, i) => {
    for (let k = 0; k < 3; k++) rows[i * 8 + k] = Math.round(at[v * 3 + k] * 1e5);
    for (let k = 0; k < 3; k++) rows[i * 8 + 3 + k] = Math.round(normals[i * 3 + k] * 2000);
    for (let k = 0; k < 2; k++) rows[i * 8 + 6 + k] = Math.round(uv[v * 2 + k] * 5000);
  });
  const { of, count } = weldRows(rows, 8);
  const out = {
    position: new Float32Array(count * 3),
    normal: new Float32Array(count * 3),
    uv: new Float32Array(count * 2),
  };
  of.forEach((/** @type {number} */ to, /** @type {number} */ i) => {
    for (let k = 0; k < 3; k++) out.position[to * 3 + k] = rows[i * 8 + k] / 1e5;
    for (let k = 0; k < 3; k++) out.normal[to * 3 + k] = normals[i * 3 + k];
    for (let k = 0; k < 2; k++) out.uv[to * 2 + k] = rows[i * 8 + 6 + k] / 5000;
  });
  return { ...out, index: count < 65536 ? Uint16Array.from(of) : Uint32Array.from(of) };
}

/** What gives off light reflects little. */
const DARK = [0.02, 0.02, 0.02];

const folder = join(root, 'stock/models');
mkdirSync(folder, { recursive: true });
const asked = process.argv.slice(2);
for (const [name, of] of Object.entries(MODELS)) {
  if (asked.length > 0 && !asked.includes(name)) continue;
  const document = new Document();
  const strength = document.createExtension(KHRMaterialsEmissiveStrength);
  const buffer = document.createBuffer();
  const mesh = document.createMesh(name);
  /** @type {Map<string, import('@gltf-transform/core').Texture>} */
  const textures = new Map();
  const texture = (/** @type {keyof typeof PICTURES} */ kind) => {
    const made = textures.get(kind) ?? document.createTexture(kind).setImage(PICTURES[kind]()).setMimeType('image/png');
    textures.set(kind, made);
    return made;
  };
  let triangles = 0;
  for (const [paint, shape] of Object.entries(of())) {
    const { hex, rough: roughness, metal, glow = 0, map, relief } = PAINTS[paint];
    const colour = linear(hex);
    const material = document
      .createMaterial(paint)
      .setBaseColorFactor(/** @type {[number, number, number, number]} */ ([...(glow > 0 ? DARK : colour), 1]))
      .setRoughnessFactor(roughness)
      .setMetallicFactor(metal);
    if (glow > 0) {
      material.setEmissiveFactor(/** @type {Vec3} */ (colour));
      material.setExtension(
        'KHR_materials_emissive_strength',
        strength.createEmissiveStrength().setEmissiveStrength(glow),
      );
    }
    if (map) material.setBaseColorTexture(texture(map));
    if (relief) material.setNormalTexture(texture(relief));
    const { position, normal, uv, index } = withNormals(/** @type {Shape} */ (shape));
    triangles += index.length / 3;
    const accessor = (
      /** @type {import('@gltf-transform/core').TypedArray} */ array,
      /** @type {'VEC2' | 'VEC3' | 'SCALAR'} */ type,
    ) => document.createAccessor().setType(type).setArray(array).setBuffer(buffer);
    mesh.addPrimitive(
      document
        .createPrimitive()
        .setAttribute('POSITION', accessor(position, 'VEC3'))
        .setAttribute('NORMAL', accessor(normal, 'VEC3'))
        .setAttribute('TEXCOORD_0', accessor(uv, 'VEC2'))
        .setIndices(accessor(index, 'SCALAR'))
        .setMaterial(material),
    );
  }
  document.createScene().addChild(document.createNode(name).setMesh(mesh));
  const bytes = await new WebIO().registerExtensions([KHRMaterialsEmissiveStrength]).writeBinary(document);
  const file = `${name.toLowerCase().replaceAll(' ', '-')}.glb`;
  writeFileSync(join(folder, file), bytes);
  console.log(
    `  model('${name}', '${file}', '${createHash('sha256').update(bytes).digest('hex')}'),  // ${triangles} triangles, ${(bytes.length / 1000).toFixed(0)} kB`,
  );
}
await vite.close();

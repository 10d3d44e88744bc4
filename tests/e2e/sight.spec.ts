// What is left out because it is not in sight must not have been in sight. The middle of a picture of twice the field holds
// the same things well inside its borders, where nothing is left out: the two must be alike.
import { expect, type Page } from '@playwright/test';
import { PieceSchema, type Piece } from '../../src/core/piece/schema';
import { test } from './lab';

const SIZE = { width: 160, height: 96 };

/** Linear light of the middle of a picture that is so many times as large, at the same pixels to the degree. */
async function middle(page: Page, piece: Piece, times: number, frameIndex: number): Promise<number[]> {
  const { flight } = piece;
  const larger = { sensorMm: flight.sensorMm * times, widthM: (flight.widthM as number) * times };
  const wide = PieceSchema.parse({ ...piece, flight: { ...flight, ...larger } });
  return page.evaluate(
    async ([p, n, f, { width, height }]) => {
      const light = await lab.engine.api.light({
        piece: p,
        frameIndex: f,
        width: width * n,
        height: height * n,
        // so many that the lens of few passes, which spreads over the borders, does nothing
        passes: 16,
      });
      const out: number[] = [];
      const [left, low] = [(width * (n - 1)) / 2, (height * (n - 1)) / 2];
      for (let y = 0; y < height; y++)
        for (let x = 0; x < width; x++) out.push(light[((y + low) * width * n + x + left) * 4]);
      return out;
    },
    [wide, times, frameIndex, SIZE] as const,
  );
}

/** The share of pixels that differ by more than their edges may. */
const differing = (a: readonly number[], b: readonly number[]): number =>
  a.filter((v, i) => Math.abs(v - b[i]) > 0.05 + 0.1 * Math.max(v, b[i])).length / a.length;

const piece = (layer: object, flight: object): Piece =>
  PieceSchema.parse({
    id: 'sight',
    name: 'Sight',
    lap: { frames: 60, rate: { num: 25, den: 1 } },
    tile: 12,
    layers: [{ id: 'a', name: 'A', seed: 5, gradient: [{ at: 0, colour: '#ffffff' }], ...layer }],
    flight: {
      route: { kind: 'run', tilesPerLap: 4 },
      focalMm: 30,
      fNumber: 1.4,
      focusM: 3,
      shutterDeg: 360,
      ...flight,
    },
    look: { fogDistance: 10_000, reach: 22, nearFade: 0.05, background: '#000000', backgroundEdge: '#000000' },
  });

const boxes = {
  kind: 'copies',
  arrangement: 'scatter',
  count: 160,
  boxX: 7,
  boxY: 5,
  fill: true,
  size: 0.9,
  distance: 0.2,
};
const dots = { kind: 'field', shape: 'box', width: 7, height: 5, count: 900, size: 0.05, light: 8, softness: 0.5 };
const land = { kind: 'ground', width: 60, above: -1.6, relief: 1.2, feature: 5, octaves: 4, rows: 80 };
// a light looks at a field of twice the width with pixels of twice the size, and between bodies that bent space presses together
// one of them is as wide as the gap: what is left out is judged without shadows there
const bent = {
  casts: false,
  treatments: [
    { kind: 'twist', id: 't', seed: 1 },
    { kind: 'bend', id: 'b', seed: 2 },
  ],
};

for (const [name, layer, flight] of [
  ['bodies', boxes, {}],
  ['bodies in bent space', { ...boxes, ...bent }, {}],
  ['bodies without perspective', boxes, { lens: 'orthographic', widthM: 6 }],
  ['grounds', land, {}],
  ['grounds in bent space', { ...land, ...bent }, {}],
  ['particles', dots, {}],
  ['particles far out of focus', dots, { fNumber: 0.5, focusM: 1 }],
] as const)
  test(`${name} at the borders are all there`, async ({ page }) => {
    let lit = 0;
    for (const frame of [7, 31]) {
      const here = await middle(page, piece(layer, flight), 1, frame);
      const wide = await middle(page, piece(layer, flight), 2, frame);
      lit += here.filter((v) => v > 0.02).length;
      expect(differing(here, wide)).toBeLessThan(0.01);
    }
    // and there is something to miss
    expect(lit).toBeGreaterThan(SIZE.width * SIZE.height * 0.1);
  });

test('a ground has no gaps where blocks of more and fewer vertices meet', async ({ page }) => {
  const red = { background: '#ff0000', backgroundEdge: '#ff0000', fogDistance: 10_000, reach: 200 };
  const above = piece(
    { ...land, gradient: [{ at: 0, colour: '#000000' }], width: 240, above: -5, relief: 1, rows: 40 },
    { shutterDeg: 0, fNumber: 64 },
  );
  const { width, height } = { width: 480, height: 270 };
  let [gaps, looked] = [0, 0];
  for (const frame of [3, 44]) {
    const light = await page.evaluate(
      async ([p, f, w, h]) => [
        ...(await lab.engine.api.light({ piece: p, frameIndex: f, width: w, height: h, passes: 1 })),
      ],
      [PieceSchema.parse({ ...above, look: { ...above.look, ...red } }), frame, width, height] as const,
    );
    // the lower part, where there is nothing but ground, which is black; rows come from the lowest on
    for (let i = 0; i < width * height * 0.44; i++, looked++) if (light[i * 4] - light[i * 4 + 1] > 0.4) gaps++;
  }
  console.log(`gaps in a ground: ${gaps} of ${looked} pixels`);
  expect(gaps).toBe(0);
});

import { beforeAll, describe, expect, it } from 'vitest';
import { pieceOf } from '../../../../tests/pieces';
import { takeStock } from '../../../../tests/stock';
import { CLIPS } from '../../clips/facts';
import { stockFile } from '../../kept';
import { NOWHERE } from '../../solids/mesh';
import { layerElements, worldOf } from '../../world/layers';
import { PANEL } from '../definition';
import { definitionOf, newLayer, type Layer } from '../kinds';
import { rectOf, type Crop } from './crop';
import { loadedShare } from './look';
import { screen } from './screen';
import { SHOWS } from '../../shows/kinds';
import type { ScreenLayer } from './form';

beforeAll(takeStock);

const picture = (name: string, more: object = {}) =>
  SHOWS.schema.parse({ id: name, kind: 'picture', file: stockFile(name), ...more });
const clip = (name: string, more: object = {}) =>
  SHOWS.schema.parse({ id: name, kind: 'clip', file: stockFile(name), ...more });
const layer = (more: object = {}): ScreenLayer => ({ ...newLayer('screen', 'one', 'One', 7), ...more }) as ScreenLayer;
const world = (frames = 100) => ({ ...worldOf(pieceOf({ kind: 'field' })), frames });
/** What each panel shows, in the order of their elements. */
const shownBy = (made: ScreenLayer, share = 1) =>
  screen
    .drawings(made, share, world())
    .flatMap((drawing) =>
      drawing.as === 'bodies' ? Array<string>(drawing.count).fill(drawing.pictured?.file?.name ?? '') : [],
    );
const rects = (made: ScreenLayer): number[][] => {
  const numbers = screen.panels?.(made, 1, world(), 0) ?? new Float32Array();
  return Array.from({ length: numbers.length / PANEL.numbers }, (_, i) => [
    ...numbers.subarray(i * PANEL.numbers, i * PANEL.numbers + 4),
  ]);
};

const THREE = [picture('Tide table'), picture('Gauge dial'), picture('Berth numbers')];

describe('dealing out', () => {
  const ring = { arrangement: 'ring', count: 90, shows: THREE } as const;
  const count = (names: string[], name: string): number => names.filter((one) => one === name).length;

  it('in order every third panel shows the same, and those are drawn together', () => {
    const names = shownBy(layer(ring));
    expect(names).toEqual([
      ...Array<string>(30).fill('Tide table'),
      ...Array<string>(30).fill('Gauge dial'),
      ...Array<string>(30).fill('Berth numbers'),
    ]);
    const { key } = layerElements(pieceOf({ kind: 'screen', ...ring }), 'one', 0);
    expect([...key.subarray(0, 4)]).toEqual([0, 3, 6, 9]);
  });

  it('by chance each has about its share', () => {
    const names = shownBy(layer({ ...ring, count: 900, dealt: 'chance' }));
    for (const { file } of THREE) expect(Math.abs(count(names, file?.name ?? '') - 300)).toBeLessThan(45);
  });

  it('by weight each has its share to the panel', () => {
    const shows = [
      picture('Tide table', { weight: 3 }),
      picture('Gauge dial', { weight: 0.5 }),
      picture('Berth numbers'),
    ];
    const names = shownBy(layer({ ...ring, dealt: 'weight', shows }));
    expect(shows.map(({ file }) => count(names, file?.name ?? ''))).toEqual([60, 10, 20]);
  });

  it('panels keep what they show at a working share', () => {
    const whole = layer({ ...ring, dealt: 'weight' });
    const piece = pieceOf({ kind: 'screen', ...ring, dealt: 'weight' });
    const at = (share: number): Map<number, string> => {
      const { key } = layerElements(piece, 'one', 0, share);
      return new Map(
        shownBy({ ...whole, id: 'one', seed: piece.layers[0].seed }, share).map((name, i) => [key[i], name]),
      );
    };
    const [all, some] = [at(1), at(1 / 3)];
    expect(some.size).toBe(30);
    for (const [key, name] of some) expect(name).toBe(all.get(key));
  });

  it('what is dealt stands where it would without', () => {
    const made = { kind: 'screen', ...ring, arrangement: 'depth', dealt: 'chance', shows: THREE } as const;
    const many = layerElements(pieceOf(made), 'one', 0);
    const alone = layerElements(pieceOf({ ...made, shows: THREE.slice(0, 1) }), 'one', 0);
    const places = (e: typeof many): Map<number, string> =>
      new Map([...e.key].map((key, i) => [key, [...e.position.subarray(i * 3, i * 3 + 3)].join()]));
    expect(places(many)).toEqual(places(alone));
  });
});

const SHATTER = { kind: 'shatter', seed: 1, pieces: 12, off: false };

const CROP = {
  fitted: 'stretch',
  parts: 'same',
  partWide: 1,
  partHigh: 1,
  partX: 0.5,
  partY: 0.5,
  flip: 'none',
  runX: 0,
  runY: 0,
  smooth: true,
} as const satisfies Crop;
const CELL = { column: 0, row: 0, columns: 1, rows: 1 };
const rect = (crop: Partial<Crop>, own = 2, panel = 1, cell = CELL, key = 0) =>
  rectOf({ ...CROP, ...crop }, own, panel, cell, key, 3);

describe('the part of a picture that a panel shows', () => {
  it('stretched it is all of it, filling it is cut off, whole it leaves edges free', () => {
    expect(rect({})).toEqual([0, 0, 1, 1]);
    // twice as wide as the panel: half of it fills it
    expect(rect({ fitted: 'fill' })).toEqual([0.25, 0, 0.5, 1]);
    expect(rect({ fitted: 'whole' })).toEqual([0, -0.5, 1, 2]);
    expect(rect({ fitted: 'fill' }, 0.5, 1)).toEqual([0, 0.25, 1, 0.5]);
    expect(rect({ fitted: 'whole' }, 0.5, 1)).toEqual([-0.5, 0, 2, 1]);
  });

  it('keeps to the picture at its border', () => {
    expect(rect({ partWide: 0.5, partHigh: 0.25, partX: 1, partY: 0 })).toEqual([0.5, 0, 0.5, 0.25]);
  });

  it('flipped it begins at its other side', () => {
    expect(rect({ flip: 'across' })).toEqual([1, 0, -1, 1]);
    expect(rect({ flip: 'both', partWide: 0.5, partX: 0.25 })).toEqual([0.5, 1, -0.5, -1]);
    const ways = new Set(Array.from({ length: 64 }, (_, key) => rect({ flip: 'chance' }, 2, 1, CELL, key).join()));
    expect(ways.size).toBe(4);
  });

  it('by chance every part lies within the picture, no two alike', () => {
    const parts = Array.from({ length: 50 }, (_, key) =>
      rect({ parts: 'chance', partWide: 0.3, partHigh: 0.2 }, 2, 1, CELL, key),
    );
    for (const [x, y] of parts) {
      expect(x).toBeGreaterThanOrEqual(0);
      expect(x).toBeLessThanOrEqual(0.7 + 1e-9);
      expect(y).toBeGreaterThanOrEqual(0);
      expect(y).toBeLessThanOrEqual(0.8 + 1e-9);
    }
    expect(new Set(parts.map(String)).size).toBe(50);
  });

  it('one picture over a grid meets at every seam, and covers all of it', () => {
    const wall = layer({
      arrangement: 'grid',
      countX: 4,
      countY: 3,
      countZ: 1,
      parts: 'split',
      fitted: 'stretch',
      shows: [picture('Harbour plan')],
    });
    const all = rects(wall);
    expect(all).toHaveLength(12);
    // copies of a grid go from left to right, then from the bottom up
    all.forEach(([x, y, wide, high], i) => {
      expect(x).toBeCloseTo((i % 4) / 4, 6);
      expect(y).toBeCloseTo((2 - Math.floor(i / 4)) / 3, 6);
      expect([wide, high]).toEqual([0.25, Math.fround(1 / 3)]);
    });
  });

  it('a panel that is as its picture has the proportions of the part of it', () => {
    const made = layer({ shows: [picture('Tide table')], partWide: 0.5, shape: 'own' });
    const [drawing] = screen.drawings(made, 1, world());
    // 960 × 600, of which half the width
    expect(drawing.as === 'bodies' && drawing.pictured?.wide).toBeCloseTo(0.8, 3);
  });
});

describe('clips on panels', () => {
  const frames = (made: ScreenLayer, phase: number, lap = 100): number[] => {
    const numbers = screen.panels?.(made, 1, world(lap), phase) ?? new Float32Array();
    return Array.from({ length: numbers.length / PANEL.numbers }, (_, i) => numbers[i * PANEL.numbers + PANEL.first]);
  };
  const ring = { arrangement: 'ring', count: 4 };

  it('begin one after another over the clip, or all together', () => {
    expect(frames(layer({ ...ring, shows: [clip('Tide chart')] }), 0)).toEqual([0, 25, 50, 75]);
    expect(frames(layer({ ...ring, shows: [clip('Tide chart', { spread: 0.5 })] }), 0)).toEqual([0, 12, 25, 37]);
    expect(frames(layer({ ...ring, shows: [clip('Tide chart', { apart: 'together', start: 9 })] }), 0)).toEqual([
      9, 9, 9, 9,
    ]);
  });

  it('are where they were after a lap, whatever closes them', () => {
    for (const more of [{ times: 3 }, { closes: 'fro', times: 2 }, { closes: 'blended', blend: 20, times: 5 }]) {
      const made = layer({ ...ring, shows: [clip('Lamp test', more)] });
      for (const lap of [97, 250]) expect(frames(made, 1, lap)).toEqual(frames(made, 0, lap));
    }
  });

  it('show one frame while the shutter is open', () => {
    const made = layer({ ...ring, shows: [clip('Lamp test', { times: 2 })] });
    const exposure = { frame: 0.5, reach: 0.01, frames: 100 };
    const open = { ...made, exposure };
    expect(frames(open, 0.495)).toEqual(frames(open, 0.5));
    expect(frames(open, 0.505)).toEqual(frames(open, 0.5));
    expect(frames(made, 0.52)).not.toEqual(frames(made, 0.5));
  });

  it('are fitted to how they close best, at the speed nearest to their own', () => {
    const ref = stockFile('Scanning beam');
    const facts = CLIPS.at(ref);
    if (!facts) throw new Error('not taken in');
    const best = [
      { closes: 'blended', blend: 30, step: 1, bend: 1 },
      { closes: 'over', blend: 0, step: 9, bend: 9 },
    ] as const;
    CLIPS.take(ref.hash, { ...facts, joins: best });
    const definition = SHOWS.of('clip');
    const fitted = definition.fitted?.(clip('Scanning beam') as never);
    expect(fitted).toMatchObject({ closes: 'blended', blend: 30 });
    // 70 of 100 frames in 4 s come to 2.8 s: 3.57 times in 10 s by itself, 7.14 times in 20 s
    expect(definition.summary(fitted as never, 10)).toBe('4 times a lap, 1.12 of its speed');
    expect(definition.summary(fitted as never, 20)).toBe('7 times a lap, 0.98 of its speed');
    // how fast it plays is known at once and stands first; how it closes comes when it is measured
    const [nearest, ...others] = definition.offers?.(fitted as never, 10) ?? [];
    expect(others.map(({ about }) => about).slice(-2)).toEqual(['Closes', 'Closes']);
    expect(nearest).toMatchObject({ about: 'Plays', now: true, best: true, change: { times: 0 } });
    expect(screen.remarks?.(layer({ shows: [clip('Scanning beam')] }))).toEqual([
      '“Scanning beam” changes 9.0 times as much where it closes as elsewhere; with its end blended into its start 1.0 times.',
    ]);
    const made = layer({ name: 'Boards', shows: [picture('Tide table'), clip('Scanning beam')] });
    const [seam] = screen.ownSeams?.(made) ?? [];
    expect(seam).toMatchObject({ subject: 'Boards: Scanning beam', ok: false, gap: 9 });
    // the repair is a change of what is shown, after which nothing is amiss
    expect(seam.repair?.path).toEqual(['shows', 1]);
    const mended = { ...made, shows: [made.shows[0], seam.repair?.value] } as ScreenLayer;
    expect(screen.ownSeams?.(mended)).toMatchObject([{ ok: true, gap: 0, repair: null }]);
    CLIPS.take(ref.hash, facts);
    expect(screen.ownSeams?.(made)).toEqual([]);
  });
});

describe('loading', () => {
  it('one after another each begins when the one before is done', () => {
    const shares = (loaded: number): number[] => [0, 1, 2, 3].map((turn) => loadedShare(loaded, 1, turn, 4));
    expect(shares(0)).toEqual([0, 0, 0, 0]);
    expect(shares(0.375)).toEqual([1, 0.5, 0, 0]);
    expect(shares(1)).toEqual([1, 1, 1, 1]);
  });

  it('together all are as far', () => {
    expect([0, 3].map((turn) => loadedShare(0.3, 0, turn, 4))).toEqual([0.3, 0.3]);
  });
});

describe('screens', () => {
  it('a file that is dropped makes room for what it came with, the next joins it', () => {
    const fresh = layer({ ...screen.presets[0].fields });
    const first = screen.takesFile?.(fresh, 'picture', stockFile('Rope weave')) as ScreenLayer;
    expect(first.shows.map(({ file }) => file?.name)).toEqual(['Rope weave']);
    const own = { hash: 'ab'.repeat(32), name: 'own.mp4' };
    const second = screen.takesFile?.(
      { ...first, shows: [{ ...first.shows[0], file: own }] } as ScreenLayer,
      'clip',
      own,
    );
    expect(second?.shows.map(({ kind }) => kind)).toEqual(['picture', 'clip']);
    expect(screen.takesFile?.(fresh, 'font', own)).toBeNull();
    // a drawing is a picture to it
    expect((screen.takesFile?.(fresh, 'mark', own) as ScreenLayer).shows[0].kind).toBe('picture');
  });

  it('says what it lacks', () => {
    expect(screen.remarks?.(layer({ shows: [] }))).toEqual([expect.stringContaining('shows nothing yet')]);
    const gone = { hash: 'cd'.repeat(32), name: 'gone.png' };
    expect(screen.remarks?.(layer({ shows: [{ ...picture('Tide table'), file: gone }] }))).toEqual([
      expect.stringContaining('“gone.png” is not here'),
    ]);
  });

  it('all panels of every preset lie within its extent', () => {
    for (const { fields } of screen.presets) {
      const made = { ...newLayer('screen', 'one', 'One', 7), ...fields, treatments: [] } as Layer;
      const { position, size, count } = layerElements(pieceOf(made as never), 'one', 0.2);
      const { halfWidth, halfHeight, centre } = definitionOf('screen').extent(made, worldOf(pieceOf(made as never)));
      for (let i = 0; i < count; i++) {
        expect(Math.abs(position[i * 3] - centre[0])).toBeLessThanOrEqual(halfWidth - size[i] * 0.2);
        expect(Math.abs(position[i * 3 + 1] - centre[1])).toBeLessThanOrEqual(halfHeight + 1e-6);
      }
    }
  });

  it('broken panels carry their pictures', () => {
    const made = layer({ treatments: [{ ...SHATTER, id: 'x' }] });
    const [drawing] = screen.drawings(made, 1, world());
    if (drawing.as !== 'bodies') throw new Error('no bodies');
    const planes = new Set([...(drawing.mesh.uv ?? [])].filter((_, i) => i % 3 === 2));
    expect(planes).toEqual(new Set([0, NOWHERE]));
  });
});

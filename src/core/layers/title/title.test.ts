import { beforeAll, describe, expect, it } from 'vitest';
import { volumeOf } from '../../../../tests/meshes';
import { pieceOf } from '../../../../tests/pieces';
import { stockBytes, takeStock } from '../../../../tests/stock';
import { openFont } from '../../../formats/font/font';
import { readMark } from '../../../formats/svg/svg';
import { stockFile } from '../../kept';
import { add, rotate, subtract } from '../../space/vector';
import { cameraPose } from '../../world/camera';
import { stateReport } from '../../seam/report';
import { MARKS } from '../../type/mark';
import { shapesArea, shapesBounds } from '../../type/shape';
import { layerElements, layerExtent, worldOf } from '../../world/layers';
import { exposedPiece, exposureOf } from '../../world/exposed';
import { missingFiles } from '../../piece/files';
import { definitionOf } from '../kinds';
import type { TitleLayer } from './form';
import { numberText, type Written } from './number';

const piece = (fields: Partial<TitleLayer>, more: object = {}) => pieceOf({ kind: 'title', ...fields }, more);
const elementsOf = (fields: Partial<TitleLayer>, phase = 0) => layerElements(piece(fields), 'one', phase);
const lookOf = (p: ReturnType<typeof piece>) => definitionOf('title').look(p.layers[0], worldOf(p), 0);
const mark = { hash: 'ab'.repeat(32), name: 'mark.svg' };

describe('a title', () => {
  it('is frames without its font, and says so', () => {
    const layer = piece({ text: 'AB', font: { hash: 'cd'.repeat(32), name: 'Foghorn.ttf' } }).layers[0];
    expect(definitionOf('title').elementCount(layer, 1, worldOf(piece({})))).toBe(2);
    expect(definitionOf('title').remarks?.(layer)).toEqual([expect.stringContaining('“Foghorn.ttf” is not here')]);
    expect(missingFiles(piece({ text: 'AB', font: { hash: 'cd'.repeat(32), name: 'Foghorn.ttf' } }))).toHaveLength(1);
  });
});

describe('a title with its font', () => {
  beforeAll(() => {
    takeStock();
    const drawing =
      '<svg viewBox="0 0 40 40"><path d="M0 0h20v20H0z"/><path fill-rule="evenodd" d="M20 20h20v20H20z M25 25h10v10H25z"/></svg>';
    MARKS.take(mark.hash, readMark(new TextEncoder().encode(drawing), mark.name));
  });

  it('has an element for each letter, in reading order by their order and key', () => {
    const { count, order, key, position } = elementsOf({ text: 'ABBA' });
    expect(count).toBe(4);
    const read = [...order.keys()].sort((a, b) => order[a] - order[b]);
    expect(read.map((i) => key[i])).toEqual([0, 1, 2, 3]);
    const x = read.map((i) => position[i * 3]);
    expect([...x].sort((a, b) => a - b)).toEqual(x);
  });

  it('draws letters of one shape together, each element once', () => {
    const p = piece({ text: 'MARROW QUAY ABBA' });
    const drawings = definitionOf('title').drawings(p.layers[0], 1, worldOf(p));
    expect(drawings).toHaveLength(new Set('MARROWQUAYABBA').size);
    const drawn = drawings.flatMap((d) =>
      d.as === 'bodies' ? Array.from({ length: d.count }, (_, i) => d.first + i) : [],
    );
    expect(drawn).toEqual(Array.from({ length: 14 }, (_, i) => i));
  });

  // the volume of a prism is its area times its depth (elementary geometry)
  it('has letters as large as their outlines, and as deep as is said', () => {
    const p = piece({ text: 'B', depth: 0.3, bevel: 0 });
    const [drawing] = definitionOf('title').drawings(p.layers[0], 1, worldOf(p));
    const font = openFont(stockBytes('fonts/anton.woff2'), 'Anton');
    const area = shapesArea(font.outline(font.shape('B', false)[0].id));
    if (drawing.as !== 'bodies') throw new Error('letters are bodies');
    expect(volumeOf(drawing.mesh)).toBeCloseTo(area * 0.3, 5);
    expect(drawing.mesh.open).toBe(false);
  });

  it('stays within its extent, bent and turned', () => {
    for (const fields of [
      { bend: 200 },
      { rise: 40, heading: 30 },
      { text: 'A\nlonger line', align: 'left' as const },
    ]) {
      const p = piece({ size: 2, ...fields });
      const { halfWidth, halfHeight, centre } = layerExtent(p, p.layers[0]);
      const { position, count } = layerElements(p, 'one', 0);
      for (let i = 0; i < count; i++) {
        expect(Math.abs(position[i * 3] - centre[0])).toBeLessThanOrEqual(halfWidth);
        expect(Math.abs(position[i * 3 + 1] - centre[1])).toBeLessThanOrEqual(halfHeight);
      }
    }
  });

  it('has its edge at the base line of each line, where it is placed', () => {
    const fields = { text: 'A\nB', size: 2, above: 3, edge: 'base' as const, edgeAt: 0.1, leading: 1.5 };
    const { cut, key } = elementsOf(fields);
    const cap = openFont(stockBytes('fonts/anton.woff2'), 'Anton').capHeight;
    const base = (line: number): number => 3 + 2 * (-line * 1.5 - (cap - 1.5) / 2 + 0.1);
    const inOrder = [...cut].sort((_, b) => (b === cut[[...key].indexOf(1)] ? -1 : 1));
    expect(inOrder[0]).toBeCloseTo(base(0), 9);
    expect(inOrder[1]).toBeCloseTo(base(1), 9);
    const look = lookOf(piece(fields));
    expect(look.cut).toEqual([expect.closeTo(0, 12), expect.closeTo(1, 12), expect.closeTo(0, 12)]);
  });

  it('is cut off level where base lines do not rise: around a drum, and of a mark', () => {
    for (const fields of [
      { bend: 90, around: 'drum' as const },
      { shows: 'mark' as const, mark },
    ])
      expect(lookOf(piece({ ...fields, edge: 'base', rise: 30 })).cut).toEqual(
        [0, 1, 0].map((v): unknown => expect.closeTo(v, 12)),
      );
  });

  it.each([
    ['left', [1, 0, 0], 2 * 0.5],
    ['right', [-1, 0, 0], -2 * 0.5],
    ['below', [0, 1, 0], 2 * 0.5],
    ['above', [0, -1, 0], -2 * 0.5],
  ] as const)('is cut off %s of half its size from its middle', (edge, way, at) => {
    const fields = { text: 'A', size: 2, edge, edgeAt: 0.5 };
    expect(lookOf(piece(fields)).cut).toEqual([...way].map((v): unknown => expect.closeTo(v, 12)));
    expect(elementsOf(fields).cut[0]).toBeCloseTo(at, 9);
  });

  describe('in the frame', () => {
    /** Where something is in the picture: from its middle, in shares of the shorter side. */
    const seenAt = (p: ReturnType<typeof piece>, phase: number, point: readonly number[]): [number, number] => {
      const { position, quaternion, focalMm, sensorMm } = cameraPose(p, phase);
      const [x, y, z, w] = quaternion;
      const [px, py, pz] = rotate([-x, -y, -z, w], subtract([point[0], point[1], point[2]], position));
      const scale = (focalMm / sensorMm) * (p.frame.width / Math.min(p.frame.width, p.frame.height));
      return [(px / -pz) * scale, (py / -pz) * scale];
    };
    const flight = { route: { kind: 'orbit', turnsPerLap: 1 }, handMove: 'walk' };

    it.each([
      ['bottom', [0, -0.5 + 0.1]],
      ['top left', [-8 / 9 + 0.1, 0.5 - 0.1]],
      ['right', [8 / 9 - 0.1, 0]],
    ] as const)('keeps to the %s with its margin, wherever the camera goes', (anchor, expected) => {
      for (const [depthOf, phase] of [
        ['over', 0],
        ['focus', 0.37],
        ['distance', 0.8],
      ] as const) {
        const p = piece(
          { text: 'O', stands: 'frame', anchor, margin: 0.1, high: 0.2, depthOf, distance: 3 },
          { flight },
        );
        const { position, size, rotation } = layerElements(p, 'one', phase);
        const [middle] = [seenAt(p, phase, [...position])];
        const across = rotate([rotation[0], rotation[1], rotation[2], rotation[3]], [size[0], 0, 0]);
        const right = seenAt(p, phase, add([position[0], position[1], position[2]], across));
        expect(Math.hypot(right[0] - middle[0], right[1] - middle[1])).toBeCloseTo(0.2, 6);
        // it reaches to the margin with the wider half of its ink
        const font = openFont(stockBytes('fonts/anton.woff2'), 'Anton');
        const glyph = font.shape('O', false)[0];
        const {
          left,
          right: end,
          bottom,
          top,
        } = shapesBounds(font.outline(glyph.id)) ?? {
          left: 0,
          right: 0,
          bottom: 0,
          top: 0,
        };
        const [cx, cy] = [glyph.width / 2, font.capHeight / 2];
        const half = [Math.max(end - cx, cx - left), Math.max(top - cy, cy - bottom)];
        for (const k of [0, 1]) expect(middle[k]).toBeCloseTo(expected[k] - Math.sign(expected[k]) * 0.2 * half[k], 6);
      }
    });

    it('closes with a camera that travels on', () => {
      const p = piece({ text: 'AB', stands: 'frame' }, { flight: { route: { kind: 'run', tilesPerLap: 1 } } });
      expect(stateReport(p).findings.filter(({ ok }) => !ok)).toEqual([]);
    });
  });

  it('has an element for each path of a mark, or one', () => {
    expect(elementsOf({ shows: 'mark', mark }).count).toBe(2);
    expect(elementsOf({ shows: 'mark', mark, apart: false }).count).toBe(1);
    const { position } = elementsOf({ shows: 'mark', mark, size: 2 });
    expect([position[0], position[1]]).toEqual([-0.5, 0.5]);
  });

  it('names letters its font lacks', () => {
    expect(definitionOf('title').remarks?.(piece({ text: 'Пapa Łódź' }).layers[0])).toEqual([
      expect.stringContaining('П'),
    ]);
    expect(definitionOf('title').remarks?.(piece({ text: 'Papa' }).layers[0])).toEqual([]);
  });

  describe('that counts', () => {
    const counting: Partial<TitleLayer> = {
      shows: 'number',
      digits: 2,
      font: stockFile('Space Mono'),
      value: {
        law: 'keyed',
        keys: [
          { id: 'a', at: 0, value: 10, ease: 'linear' },
          { id: 'b', at: 0.96, value: 0, ease: 'hold' },
        ],
      },
    };
    /** The letters that are there, from left to right. */
    const seen = (p: ReturnType<typeof piece>, phase: number): string => {
      const { fade, position, count } = layerElements(p, 'one', phase);
      const drawings = definitionOf('title').drawings(p.layers[0], 1, worldOf(p));
      return Array.from({ length: count }, (_, i) => i)
        .filter((i) => fade[i] > 0)
        .sort((a, b) => position[a * 3] - position[b * 3])
        .map((i) => drawings.findIndex((d) => d.as === 'bodies' && i >= d.first && i < d.first + d.count))
        .join();
    };

    it('shows at every moment of the lap as many digits, one at each place', () => {
      const p = piece(counting);
      for (let i = 0; i < 50; i++) expect(seen(p, i / 50).split(',')).toHaveLength(2);
      expect(seen(p, 0)).not.toBe(seen(p, 0.5));
    });

    it('shows each letter of what is in front of it, whatever it takes to store them', () => {
      const p = piece({ ...counting, before: '😀1 ', value: 42, font: stockFile('Anton') });
      const { fade, count } = layerElements(p, 'one', 0);
      // the smile is no letter of the font, so a frame; the 1 in front does not count
      expect([...fade.subarray(0, count)].filter((v) => v > 0)).toHaveLength(4);
    });

    it('changes on whole frames only, for all of the open shutter', () => {
      const p = piece({ ...counting, value: { law: 'wound', start: 0, perLap: 99 } }, { flight: { shutterDeg: 700 } });
      for (const frame of [0, 37, 99]) {
        const shown = exposedPiece(p, exposureOf(p, frame / 100));
        const at = seen(shown, frame / 100);
        for (const off of [-0.95, -0.4, 0.4, 0.95]) expect(seen(shown, (frame + off) / 100)).toBe(at);
        expect(seen(exposedPiece(p, exposureOf(p, (frame + 2) / 100)), (frame + 2) / 100)).not.toBe(at);
      }
    });

    it('closes when its value does, whatever it counts', () => {
      const { findings } = stateReport(piece({ ...counting, once: false }));
      expect(findings.filter(({ ok, layerId }) => layerId !== null && !ok)).toEqual([]);
    });
  });
});

describe('a number as text', () => {
  const of = (value: number, how: Partial<Written>): string =>
    numberText({ format: 'plain', digits: 2, decimals: 0, before: '', after: '', ...how }, value, 25);

  it.each([
    [7, {}, '07'],
    [6.999, {}, '06'],
    [2.9999999, {}, '03'],
    [123, {}, '99'],
    [-4, {}, '00'],
    [3.14159, { decimals: 3 }, '03.141'],
    [123, { decimals: 2 }, '99.99'],
    [40, { after: ' %', before: 'Tide ' }, 'Tide 40 %'],
    [65, { format: 'clock' }, '01:05'],
    [65.5, { format: 'frames' }, '01:05:12'],
    [0, { format: 'beats' }, '01.1'],
    [7.2, { format: 'beats' }, '02.4'],
    [59.999, { format: 'clock', digits: 1 }, '0:59'],
  ] as const)('%d %o is %s', (value, how, text) => {
    expect(of(value, how)).toBe(text);
  });

  it('always has as many letters', () => {
    for (const format of ['plain', 'clock', 'frames', 'beats'] as const)
      for (const decimals of [0, 2])
        for (const value of [0, 1, 9.99, 59, 3599, 1e6, -2])
          expect(of(value, { format, decimals })).toHaveLength(of(0, { format, decimals }).length);
  });
});

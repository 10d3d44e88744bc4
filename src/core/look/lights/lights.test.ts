import { describe, expect, it } from 'vitest';
import { demoPiece } from '../../../../tests/pieces';
import { hexToLinear } from '../../colour/colour';
import { parsePiece } from '../../world/open';
import { LOOK } from '../form';
import { directionOf, type Standing } from './definition';
import { hasRoom, lightName, lightOf, LIGHTS, lightsTrouble, newLight, standardLights, type Light } from './kinds';

const MIDDLE: Standing = { place: [0, 0, 0], rotation: [0, 0, 0, 1] };
const SWUNG = { law: 'swing', middle: 1, reach: 0.5, cycles: 2, wave: 'sine', shift: 0.1 } as const;

describe('the lights of a look', () => {
  it('a new look has lights with ids and names of their own', () => {
    const { lights } = LOOK.schema.parse({});
    expect(lights.length).toBeGreaterThan(3);
    expect(new Set(lights.map(({ id }) => id)).size).toBe(lights.length);
    expect(new Set(lights.map(lightName)).size).toBe(lights.length);
    expect(lightsTrouble(lights)).toBeNull();
  });

  it.each(LIGHTS.names.map((kind) => [kind]))('a %s is a row of the table at every phase', (kind) => {
    const light = newLight(kind, 'a', { dimmer: { ...SWUNG, cycles: 3 } });
    for (let i = 0; i <= 20; i++) {
      const { colour, strength, from, own = [] } = lightOf(kind).at(light, i / 20, MIDDLE);
      for (const v of [...colour, strength, ...from, ...own]) expect(Number.isFinite(v)).toBe(true);
      expect(own.length).toBeLessThanOrEqual(8);
      expect(Math.abs(Math.hypot(...from) - 1)).toBeLessThanOrEqual(0.01);
    }
    expect(lightOf(kind).at(light, 0, MIDDLE)).toEqual(lightOf(kind).at(light, 1, MIDDLE));
    expect(lightOf(kind).summary(light, 0.3)).toMatch(/\d/);
  });

  it('a direction of any length is made one of length 1; none is from above', () => {
    const of = (aside: number, above: number, behind: number) => directionOf({ aside, above, behind }, 0);
    const long = of(0.2, -0.4, 0.4);
    [1 / 3, -2 / 3, 2 / 3].forEach((v, k) => expect(long[k]).toBeCloseTo(v, 14));
    expect(of(0, 0, 0)).toEqual([0, 1, 0]);
    expect(of(0, 0, -1)).toEqual([0, 0, -1]);
  });

  it("a box's width is level, square to its direction and of length 1", () => {
    for (const [aside, above, behind] of [
      [0.958, 0.287, 0],
      [-0.97, 0, 0.243],
      [0.1, 0.9, -0.4],
      [0, 1, 0],
      [0, -1, 0],
    ]) {
      const box = newLight('farBox', 'a', { aside, above, behind });
      const { from, own = [] } = lightOf('farBox').at(box, 0, MIDDLE);
      const [x, y, z] = own;
      expect(y).toBe(0);
      expect(x * from[0] + y * from[1] + z * from[2]).toBeCloseTo(0, 9);
      expect(Math.abs(Math.hypot(x, z) - 1)).toBeLessThanOrEqual(0.01);
    }
  });

  it('a dimmer takes light away and nothing else', () => {
    const sun = newLight('sun', 'a', { dimmer: 0.25 });
    const { colour } = lightOf('sun').at(sun, 0, MIDDLE);
    hexToLinear('#ffe9cf').forEach((v, k) => expect(colour[k]).toBeCloseTo(v / 4, 14));
  });

  it('more panoramas than programs have textures for are neither offered nor read', () => {
    const some = (n: number): Light[] => Array.from({ length: n }, (_, i) => newLight('panorama', `p${i}`));
    expect([0, 1, 2].map((n) => hasRoom(some(n), 'panorama'))).toEqual([true, true, false]);
    expect([2, 3].map((n) => LOOK.schema.safeParse({ lights: some(n) }).success)).toEqual([true, false]);
    expect(hasRoom(some(2), 'spot')).toBe(true);
  });

  it('two lights of one id are refused', () => {
    const [first] = standardLights();
    expect(lightsTrouble([first, { ...first }])).toBe('names two lights "key"');
  });
});

describe('a document with the three lights of version 4', () => {
  const look = (lights: object) => {
    const piece = structuredClone(demoPiece('plankton-bloom'));
    const { lights: _, ...rest } = piece.look;
    const read = parsePiece({ format: 'isomorph', version: 4, piece: { ...piece, look: { ...rest, ...lights } } });
    if (!read.ok) throw new Error(JSON.stringify(read.problems));
    expect(read.unknown).toEqual([]);
    return read.piece.look;
  };
  const named = (lights: readonly Light[], id: string): Light => {
    const found = lights.find((light) => light.id === id);
    if (!found) throw new Error(`there is no ${id}`);
    return found;
  };

  it('without lights of its own has those of a new look, as strong as they were and without shadows', () => {
    const old = standardLights().map((light) =>
      light.kind === 'sun'
        ? { ...light, strength: expect.closeTo(light.strength as number, 1) as number, wide: 0, shadow: false }
        : light,
    );
    expect(look({ rig: 1 }).lights).toEqual(old);
  });

  it('keeps its colours, and its boxes at the sides are dimmed as the lights were', () => {
    const swung = { ...SWUNG, middle: 0.5, reach: 0.2 };
    const { lights, rig } = look({ rig: swung, rigKey: '#112233', rigFill: '#445566', rigRim: '#778899' });
    expect(rig).toEqual(LOOK.schema.parse({ rig: swung }).rig);
    expect(['key', 'fill', 'rim', 'right', 'left'].map((id) => named(lights, id))).toMatchObject([
      { colour: '#112233', dimmer: 1 },
      { colour: '#445566', dimmer: 1 },
      { colour: '#778899', dimmer: 1 },
      { colour: '#112233', dimmer: rig },
      { colour: '#445566', dimmer: rig },
    ]);
  });
});

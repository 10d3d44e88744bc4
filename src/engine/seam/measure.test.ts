import { describe, expect, it } from 'vitest';
import { definitionOf, presetLayer } from '../../core/layers/kinds';
import { newEffect } from '../../core/look/effects/kinds';
import { newLight } from '../../core/look/lights/kinds';
import { getAt, setAt } from '../../core/piece/paths';
import { PieceSchema, type Piece } from '../../core/piece/schema';
import { goesOn } from '../../core/seam/slopes';
import { inverse, rotate, subtract, type Vec3 } from '../../core/space/vector';
import { evaluateAnimated, type Animated } from '../../core/time/animated';
import { newTreatment } from '../../core/treatments/kinds';
import { cameraPose } from '../../core/world/camera';
import { layerElements } from '../../core/world/layers';
import { lightRows } from '../../core/world/lights';
import type { FrameRequest } from '../frame/request';
import { measureSeam } from './measure';
import { JUMP_SCORE } from './pictureReport';

const [WIDTH, HEIGHT] = [320, 180];
const FRAMES = 72;

/** Adds a soft dot to a picture of one grey a pixel. */
function dot(out: Float32Array, x: number, y: number, light: number): void {
  const [left, top] = [Math.floor(x) - 3, Math.floor(y) - 3];
  for (let py = Math.max(0, top); py < Math.min(HEIGHT, top + 7); py++)
    for (let px = Math.max(0, left); px < Math.min(WIDTH, left + 7); px++)
      out[py * WIDTH + px] += light * Math.exp(-((px - x) ** 2 + (py - y) ** 2) / 2);
}

/** A drawing of its own, that lacks what the engine has but soft dots: it is the report that is looked at. */
function draw(piece: Piece, { phase }: FrameRequest): Promise<Float32Array> {
  const out = new Float32Array(WIDTH * HEIGHT);
  const { position: eye, quaternion } = cameraPose(piece, phase);
  const { effects, lights } = piece.look;
  const lit = lights.some(({ off }) => !off)
    ? lightRows(piece, phase).reduce((sum, { colour, strength }) => sum + colour[0] * strength, 0)
    : 1;
  for (const layer of piece.layers) {
    if (layer.hidden) continue;
    const { count, position, light } = layerElements(piece, layer.id, phase);
    const own = definitionOf(layer.kind).light(layer, phase);
    for (let i = 0; i < count; i++) {
      // as often as the tile is seen
      for (let tile = -3; tile <= 4; tile++) {
        const at: Vec3 = [position[i * 3], position[i * 3 + 1], position[i * 3 + 2] - tile * piece.tile];
        const [x, y, z] = rotate(inverse(quaternion), subtract(at, eye));
        const far = -z;
        if (far < 2.5 || far > 2 * piece.tile) continue;
        const fades = 0.6 * Math.min(1, (far - 2.5) / 2) * Math.min(1, (2 * piece.tile - far) / piece.tile);
        dot(out, WIDTH * (0.5 + (0.8 * x) / far), HEIGHT * 0.5 + (0.8 * WIDTH * y) / far, light[i] * own * lit * fades);
      }
    }
  }
  for (const effect of effects)
    if (effect.kind === 'vignette' && !effect.off) {
      const amount = evaluateAnimated(effect.amount as Animated, phase);
      for (let i = 0; i < out.length; i++) out[i] *= 1 - amount / 2;
    }
  const rgba = new Float32Array(WIDTH * HEIGHT * 4);
  out.forEach((v, i) => rgba.fill(v === 0 ? 0 : 1 - Math.exp(-v), i * 4, i * 4 + 3));
  return Promise.resolve(rgba);
}

const motes = (id: string, seed: number, more: object = {}) => ({
  ...presetLayer('field', 0, { id, name: id, seed }),
  ...{ shape: 'corridor', count: 300, width: 10, height: 6, light: 0.07, treatments: [newTreatment('drift', 'd')] },
  ...more,
});
/** A thousand motes that drift, and a camera that sways. */
const busy = PieceSchema.parse({
  ...{ id: 'p', name: 'Busy', tile: 8, lap: { frames: FRAMES, rate: { num: 25, den: 1 } } },
  layers: [motes('a', 1), motes('b', 2), motes('c', 3), motes('d', 4)],
  flight: {
    route: { kind: 'keys', aside: { law: 'swing', middle: 0, reach: 0.3, cycles: 1, wave: 'sine', shift: 0.1 } },
    aim: 'own',
  },
  look: { effects: [newEffect('tone', 't'), newEffect('vignette', 'v')] },
});
const with_ = (path: readonly (string | number)[], value: unknown): Piece =>
  PieceSchema.parse(setAt(busy, path, value));
async function reportOf(piece: Piece, by: typeof draw = draw) {
  const request = { piece, width: WIDTH, height: HEIGHT, passes: 1 };
  const report = await measureSeam(by, request, () => Promise.resolve(true));
  if (!report) throw new Error('it was stopped');
  return report;
}

describe('the pictures of a busy lap', () => {
  it('close where it does', async () => {
    const report = await reportOf(busy);
    expect(report).toMatchObject({ verdict: 'closes', guilty: null, twice: 0 });
    expect(report.later.share).toBeLessThan(0.001);
  });

  it('one dim mote that is there for one frame is found, in its block, and its layer named', async () => {
    const blink = { ...newTreatment('appear', 'a'), from: 0, to: 1 };
    const dim = motes('dim', 9, { count: 1, light: 1, shape: 'box', width: 0.1, height: 0.1, depth: 0.1 });
    const layers = [...busy.layers, { ...dim, aside: 0.9, above: 0.5, ahead: 3, treatments: [blink] }];
    const report = await reportOf(with_(['layers'], layers));
    expect(report).toMatchObject({ verdict: 'jumps', guilty: { part: 'layer', id: 'dim' }, excess: { of: 'block' } });
    expect(report.guilty?.share).toBeGreaterThan(0.7);
    // by what the whole picture does at its worst it is not to be told
    expect(report.score).toBeLessThan(JUMP_SCORE);
    // and any other frame of the lap would do as well: what pops there is no fault of the seam
    const elsewhere = [
      ...busy.layers,
      { ...dim, aside: 0.9, above: 0.5, ahead: 3, treatments: [{ ...blink, from: 20, to: 21 }] },
    ];
    expect(await reportOf(with_(['layers'], elsewhere))).toMatchObject({ verdict: 'closes' });
  });

  it('a drift of two cycles and a half is found, and its layer', async () => {
    const report = await reportOf(with_(['layers', 1, 'treatments', 0, 'cycles'], 2.5));
    expect(report).toMatchObject({ ok: false, guilty: { part: 'layer', id: 'b' } });
  });

  describe('travel that is eased to a stand at the seam', () => {
    const keys = [
      { id: 'a', at: 0, value: 0, ease: 'smooth' },
      { id: 'b', at: 0.2, value: 1, ease: 'smooth' },
      { id: 'c', at: 0.8, value: 1, ease: 'smooth' },
    ];
    const still = busy.layers.map((layer) => ({ ...layer, treatments: [] }));
    const eased = PieceSchema.parse({
      ...busy,
      flight: { route: { kind: 'run', tilesPerLap: 1 }, speed: { law: 'keyed', keys } },
      layers: still,
      lap: { frames: 120, rate: { num: 25, den: 1 } },
    });

    it('stops', async () => {
      expect(await reportOf(eased)).toMatchObject({ verdict: 'stops', ok: false });
    });

    it('goes on when it is mended', async () => {
      const repair = goesOn(eased);
      expect(repair?.path).toEqual(['flight', 'speed']);
      const mended = setAt(eased, repair?.path ?? [], repair?.value);
      expect(await reportOf(mended)).toMatchObject({ verdict: 'closes' });
      expect(goesOn(mended)).toBeNull();
    });
  });

  it('a light of half a cycle is named, and not the layers that it lights', async () => {
    const swing = { law: 'swing', middle: 1, reach: 0.8, cycles: 1.5, wave: 'sine', shift: 0.1 };
    const lights = [newLight('sun', 'sun'), newLight('surroundings', 'sky', { dimmer: swing } as object)];
    const report = await reportOf(with_(['look', 'lights'], lights));
    expect(report).toMatchObject({ ok: false, guilty: { part: 'light', id: 'sky' } });
  });

  it('an effect that jumps is named', async () => {
    const wound = { law: 'wound', start: 0, perLap: 0.4 };
    expect(getAt(busy, ['look', 'effects', 1, 'kind'])).toBe('vignette');
    const report = await reportOf(with_(['look', 'effects', 1, 'amount'], wound));
    expect(report).toMatchObject({ ok: false, guilty: { part: 'effect', id: 'v' } });
  });

  it('an effect that remembers the frames before is found, although every join is smooth', async () => {
    let kept: Float32Array | null = null;
    const remembering = async (...[piece, frame]: Parameters<typeof draw>): Promise<Float32Array> => {
      const now = await draw(piece, frame);
      const before = kept ?? now;
      kept = now.map((v, i) => 0.6 * v + 0.4 * before[i]);
      return kept;
    };
    const report = await reportOf(busy, remembering);
    expect(report).toMatchObject({ verdict: 'remembers', ok: false });
    expect(report.twice).toBeGreaterThan(1);
  });

  it('particles whose rate does not come out whole are found', async () => {
    const raining =
      (rate: number) =>
      async (...[piece, frame]: Parameters<typeof draw>) => {
        const out = await draw(piece, frame);
        const drops = new Float32Array(WIDTH * HEIGHT);
        if (piece.layers[3].hidden) return out;
        // born at even times, sinking slowly; seen as the clip shows them, lap after lap
        const now = frame.phase - Math.floor(frame.phase);
        for (let k = Math.ceil((now - 0.5) * rate); k <= now * rate; k++) {
          const age = (now - k / rate) / 0.5;
          dot(
            drops,
            WIDTH * (0.1 + 0.8 * ((((k * 0.618) % 1) + 1) % 1)),
            HEIGHT * (0.6 - 0.15 * age),
            1.2 * Math.sin(Math.PI * age),
          );
        }
        return out.map((v, i) => v + ((i & 3) === 3 ? 0 : drops[i >> 2]));
      };
    const dark = with_(['layers', 3, 'light'], 0);
    expect(await reportOf(dark, raining(20.6))).toMatchObject({ verdict: 'jumps', guilty: { id: 'd' } });
  });

  it('what does not come back within a lap differs a lap later, however slowly', async () => {
    const slow = with_(['flight', 'roll'], { law: 'wound', start: 0, perLap: 0.02 });
    const report = await reportOf(slow);
    expect(report.later.share).toBeGreaterThan(0.01);
    expect(report.ok).toBe(false);
  });
});

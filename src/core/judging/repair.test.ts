import { describe, expect, it } from 'vitest';
import { pieceOf } from '../../../tests/pieces';
import { flashAt, type Flash } from '../look/effects/flash/flash';
import { standardEffects, startedEffect, usedEffects } from '../look/effects/kinds';
import { newLight, type Light } from '../look/lights/kinds';
import type { Piece } from '../piece/schema';
import { evaluateAnimated, type Animated } from '../time/animated';
import { rateHz } from '../time/lap';
import { flashesIn, type FlashReport } from './flashes';
import { flashRepair } from './repair';

/** What a piece would be if there were nothing but its lamps and its flashes. */
function measure(piece: Piece): Promise<FlashReport> {
  const { frames, rate } = piece.lap;
  const levels = Array.from({ length: frames }, (_, frame) => {
    const phase = frame / frames;
    const lamps = piece.look.lights
      .filter(({ off }) => !off)
      .reduce((sum, light) => sum + 0.1 * evaluateAnimated((light as Light & { dimmer: number }).dimmer, phase), 0);
    const flashes = usedEffects(piece.look.effects).filter((effect): effect is Flash => effect.kind === 'flash');
    const light = flashes.reduce(
      (sum, flash) => sum * (1 + evaluateAnimated(flash.amount, phase) * (2 ** 2 - 1) * flashAt(flash, phase)),
      lamps,
    );
    return { average: light, light, peak: light, cells: new Float32Array([light, 0.2, 0.47, 0.33]) };
  });
  return Promise.resolve(flashesIn(levels, 1, 1, rateHz(rate)));
}

const lamp = (id: string, dimmer: Animated): Light => ({ ...newLight('point', id), name: id, dimmer }) as Light;
const beat = (id: string, beats: number): Flash => ({ ...(startedEffect('flash', id) as Flash), beats });
const piece = (lights: Light[], effects: Flash[], frames = 96): Piece => {
  const plain = pieceOf({ kind: 'field' });
  return {
    ...plain,
    lap: { ...plain.lap, frames, rate: { num: 24, den: 1 } },
    look: { ...plain.look, lights, effects: [...standardEffects(), ...effects] },
  };
};
const still = lamp('Still lamp', 1);

describe('what mends a lap that flashes too much', () => {
  it('is fewer beats, a whole part of those there are where that is possible', async () => {
    const fast = piece([still], [beat('f', 24)]);
    expect((await measure(fast)).fails).toBe('picture');
    const repair = await flashRepair(fast, measure);
    expect(repair?.says).toBe('Flash on 12 beats of a lap instead of 24.');
    if (!repair) return;
    expect((await measure(repair.piece)).fails).toBeNull();
  });

  it('is less of it where a lap has no room for a beat', async () => {
    const short = piece([still], [beat('f', 2)], 7);
    const repair = await flashRepair(short, measure);
    expect(repair?.says).toMatch(/^Take \d+ % of Flash\.$/);
    expect(repair && (await measure(repair.piece)).fails).toBeNull();
  });

  it('is a lamp that moves less, and nothing is changed of one that does not', async () => {
    const blinking = lamp('Blinking lamp', { law: 'swing', middle: 2, reach: 2, cycles: 24, wave: 'sine', shift: 0 });
    const repair = await flashRepair(piece([still, blinking], []), measure);
    expect(repair?.says).toMatch(/^Let the dimmer of Blinking lamp move by \d+ % of what it does\.$/);
    expect(repair?.piece.look.lights[0]).toBe(still);
    expect(repair?.piece.look.lights[1]).toMatchObject({ dimmer: { middle: 2 } });
    expect(repair && (await measure(repair.piece)).fails).toBeNull();
  });

  it('is looked for in what changes from frame to frame alone', async () => {
    const measured: string[] = [];
    const counting = (of: Piece): Promise<FlashReport> => {
      measured.push(of.look.effects.find(({ off }) => off)?.kind ?? 'a lamp');
      return measure(of);
    };
    const blinking = lamp('Blinking lamp', { law: 'swing', middle: 2, reach: 2, cycles: 24, wave: 'sine', shift: 0 });
    const grade = { ...startedEffect('grade', 'g'), acts: 'stretch' } as Flash;
    await flashRepair(piece([still, blinking], [grade, startedEffect('vignette', 'v') as Flash]), counting);
    expect(new Set(measured)).toEqual(new Set(['grade', 'a lamp']));
  });

  it('is nothing where two are why, each enough, and when it is stopped', async () => {
    expect(await flashRepair(piece([still], [beat('f', 24), beat('g', 20)]), measure)).toBeNull();
    let left = 1;
    const stopping = async (of: Piece): Promise<FlashReport | null> => (left-- > 0 ? measure(of) : null);
    expect(await flashRepair(piece([still], [beat('f', 24)]), stopping)).toBeNull();
  });
});

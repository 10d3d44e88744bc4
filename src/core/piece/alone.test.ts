import { describe, expect, it } from 'vitest';
import { newLayer } from '../layers/kinds';
import { newEffect } from '../look/effects/kinds';
import { newLight } from '../look/lights/kinds';
import { aloneIn } from './alone';
import { PieceSchema } from './schema';

const piece = PieceSchema.parse({
  id: 'p',
  name: 'P',
  lap: { frames: 100, rate: { num: 25, den: 1 } },
  // one name in every room
  layers: [newLayer('field', 'one', 'One'), { ...newLayer('copies', 'two', 'Two'), hidden: true }],
  flight: {},
  look: {
    lights: [newLight('sun', 'one', {}), newLight('point', 'two', { off: true })],
    effects: [newEffect('tone', 'tone'), newEffect('glow', 'one'), newEffect('grain', 'two')],
  },
});

describe('a part shown alone', () => {
  it('is the only one of its room, even one that is hidden or off; the other rooms and the piece stay', () => {
    const before = structuredClone(piece);
    const layers = aloneIn(piece, { of: 'layers', id: 'two' });
    expect(layers.layers.map(({ hidden }) => hidden)).toEqual([true, false]);
    expect(layers.look).toBe(piece.look);
    const lights = aloneIn(piece, { of: 'lights', id: 'two' });
    expect(lights.look.lights.map(({ off }) => off)).toEqual([true, false]);
    expect(lights.layers).toBe(piece.layers);
    expect(lights.look.effects).toBe(piece.look.effects);
    expect(piece).toEqual(before);
  });

  it('an effect is seen with what a look cannot be without', () => {
    const { effects } = aloneIn(piece, { of: 'effects', id: 'two' }).look;
    expect(effects.map(({ off }) => off)).toEqual([false, true, false]);
    expect(PieceSchema.safeParse(aloneIn(piece, { of: 'effects', id: 'two' })).success).toBe(true);
  });

  it('is the whole piece where there is none, or no more', () => {
    expect(aloneIn(piece, null)).toBe(piece);
    expect(aloneIn(piece, { of: 'lights', id: 'three' })).toBe(piece);
  });
});

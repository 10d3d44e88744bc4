import { describe, expect, it } from 'vitest';
import { newEffect, type Effect } from '../look/effects/kinds';
import { PieceSchema, type Piece } from '../piece/schema';
import { lackOf } from './lacks';

const piece = (...layers: object[]): Piece =>
  PieceSchema.parse({
    ...{ id: 'a', name: 'A', lap: { frames: 100, rate: { num: 25, den: 1 } }, layers },
    ...{ flight: { route: { kind: 'run' } }, look: {} },
  });
const motes = { id: 'motes', name: 'Motes', kind: 'field' };
const boxes = { id: 'boxes', name: 'Boxes', kind: 'copies' };
const with_ = (kind: Effect['kind'], more: object = {}): Effect => ({ ...newEffect(kind, 'e'), ...more }) as Effect;

describe('what an effect lacks', () => {
  it('is nothing where it asks for nothing', () => {
    expect(lackOf(piece(motes), with_('vignette'))).toBeNull();
    expect(lackOf(piece(), with_('grade', { mask: 'ellipse' }))).toBeNull();
  });

  it('is depth where light is all there is', () => {
    for (const effect of [with_('fog'), with_('grade', { mask: 'near' })]) {
      expect(lackOf(piece(motes), effect)).toMatch(/needs depth/);
      expect(lackOf(piece(motes, { ...boxes, hidden: true }), effect)).toMatch(/needs depth/);
      expect(lackOf(piece(motes, boxes), effect)).toBeNull();
    }
  });

  it('is a layer where none is named, or that one is not seen', () => {
    const by = (maskLayer: string | null): Effect => with_('grade', { mask: 'layer', maskLayer });
    expect(lackOf(piece(motes), by(null))).toMatch(/choose one/);
    expect(lackOf(piece(motes), by('boxes'))).toMatch(/hidden or gone/);
    expect(lackOf(piece(motes), by('motes'))).toBeNull();
  });
});

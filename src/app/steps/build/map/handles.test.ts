import { describe, expect, it } from 'vitest';
import { newLayer, type Layer } from '../../../../core/layers/kinds';
import { PieceSchema, type Piece } from '../../../../core/piece/schema';
import { evaluateAnimated } from '../../../../core/time/animated';
import { boxOf, dragged, gripsOf, hit, scaleHandle, turnHandle } from './handles';
import { mapView } from './view';

const copies = { ...newLayer('copies', 'one', 'One'), ahead: 4, aside: 1 } as Layer;
const pieceWith = (...layers: Layer[]): Piece =>
  PieceSchema.parse({
    id: 'p',
    name: 'Test',
    lap: { frames: 100, rate: { num: 25, den: 1 } },
    layers,
    flight: {},
    look: {},
  });
const piece = pieceWith(copies, newLayer('tunnel', 'way', 'Way'), newLayer('ground', 'land', 'Land'));
const view = mapView(piece, 800, 200);
const apply = (layer: Layer, fields: object): Layer => ({ ...layer, ...fields });

describe('the map', () => {
  it('shows three tiles of a travelling camera, and what stands there when it stays', () => {
    expect(view).toMatchObject({ start: 0, span: 24 });
    expect(view.along(view.x(7.5, 'side'), 'side')).toBeCloseTo(7.5, 9);
    const still = mapView(
      { ...piece, flight: { ...piece.flight, route: { kind: 'run', tilesPerLap: 0, start: 0 } } },
      800,
      200,
    );
    expect(still.span).toBeLessThan(10);
    expect(still.start).toBeLessThan(0);
  });

  it('moving follows the pointer in both lanes', () => {
    const grip = [300, view.lanes.plan.middle] as const;
    const to = [300 + view.perMetre * 2, view.lanes.plan.middle - view.across * 0.5] as const;
    expect(dragged(piece, copies, 'plan', 'move', view, grip, to, 0)).toEqual({ ahead: 6, aside: 1.5 });
    expect(dragged(piece, copies, 'side', 'move', view, grip, to, 0)).toEqual({ ahead: 6, above: 0.5 });
  });

  it('its corner scales it, about its middle', () => {
    const box = boxOf(piece, copies, 'plan', view, 0);
    const [x, y] = scaleHandle(box);
    const [cx, cy] = [(box.left + box.right) / 2, (box.top + box.bottom) / 2];
    const fields = dragged(piece, copies, 'plan', 'scale', view, [x, y], [cx + 2 * (x - cx), cy + 2 * (y - cy)], 0);
    expect(fields.scale).toBeCloseTo(2, 3);
    const larger = boxOf(pieceWith(apply(copies, fields)), apply(copies, fields), 'plan', view, 0);
    expect((larger.right - larger.left) / (box.right - box.left)).toBeCloseTo(2, 2);
  });

  it('its knob turns it: heading from above, pitch from the side', () => {
    const box = boxOf(piece, copies, 'plan', view, 0);
    const [cx, cy] = [(box.left + box.right) / 2, (box.top + box.bottom) / 2];
    const at = (degrees: number): [number, number] => [
      cx + Math.cos((degrees * Math.PI) / 180) * view.perMetre,
      cy + Math.sin((degrees * Math.PI) / 180) * view.across,
    ];
    expect(dragged(piece, copies, 'plan', 'turn', view, at(0), at(30), 0).heading).toBeCloseTo(30, 1);
  });

  it('what moves is dragged where it is: a key is set there, a swing goes about another middle', () => {
    const keyed = (value: number, at: number) => ({ id: String(at), at, value, ease: 'smooth' as const });
    const moving = {
      ...copies,
      aside: { law: 'keyed', keys: [keyed(0, 0), keyed(2, 0.5)] },
      ahead: { law: 'swing', middle: 4, reach: 1, cycles: 1, wave: 'sine', shift: 0 },
    } as typeof copies;
    const to = [300 + view.perMetre * 2, view.lanes.plan.middle - view.across * 0.5] as const;
    const grip = [300, view.lanes.plan.middle] as const;
    const { aside, ahead } = dragged(piece, moving, 'plan', 'move', view, grip, to, 0.5);
    expect(evaluateAnimated(aside, 0.5)).toBeCloseTo(2.5, 3);
    expect(evaluateAnimated(aside, 0)).toBe(0);
    expect(ahead).toMatchObject({ law: 'swing', middle: 6 });
    const [here, there] = [0, 0.5].map((phase) => boxOf(pieceWith(moving), moving, 'plan', view, phase));
    expect((here.top - there.top) / view.across).toBeCloseTo(2, 2);
    // a key a little later is one more
    const later = dragged(piece, moving, 'plan', 'move', view, grip, to, 0.6).aside;
    expect(later).toMatchObject({ keys: [{ at: 0 }, { at: 0.5 }, { at: 0.6 }] });
  });

  it('finds handles first, then the smallest thing; a tunnel has no place of its own', () => {
    const box = boxOf(piece, copies, 'plan', view, 0);
    expect(hit(piece, view, 'one', ...scaleHandle(box), 0)).toMatchObject({ id: 'one', grip: 'scale' });
    expect(hit(piece, view, 'one', ...turnHandle(box), 0)).toMatchObject({ id: 'one', grip: 'turn' });
    const middle = [(box.left + box.right) / 2, (box.top + box.bottom) / 2] as const;
    expect(hit(piece, view, null, ...middle, 0)).toMatchObject({ id: 'one', lane: 'plan', grip: 'move' });
    expect(gripsOf(newLayer('tunnel', 't', 'T'))).toEqual([]);
    expect(gripsOf(newLayer('ground', 'g', 'G'))).toEqual(['move', 'scale']);
  });
});

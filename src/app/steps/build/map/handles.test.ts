import { describe, expect, it } from 'vitest';
import { newLayer, type Layer } from '../../../../core/layers/kinds';
import { PieceSchema, type Piece } from '../../../../core/piece/schema';
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
    expect(dragged(piece, copies, 'plan', 'move', view, grip, to)).toEqual({ ahead: 6, aside: 1.5 });
    expect(dragged(piece, copies, 'side', 'move', view, grip, to)).toEqual({ ahead: 6, above: 0.5 });
  });

  it('its corner scales it, about its middle', () => {
    const box = boxOf(piece, copies, 'plan', view);
    const [x, y] = scaleHandle(box);
    const [cx, cy] = [(box.left + box.right) / 2, (box.top + box.bottom) / 2];
    const fields = dragged(piece, copies, 'plan', 'scale', view, [x, y], [cx + 2 * (x - cx), cy + 2 * (y - cy)]);
    expect(fields.scale).toBeCloseTo(2, 3);
    const larger = boxOf(pieceWith(apply(copies, fields)), apply(copies, fields), 'plan', view);
    expect((larger.right - larger.left) / (box.right - box.left)).toBeCloseTo(2, 2);
  });

  it('its knob turns it: heading from above, pitch from the side', () => {
    const box = boxOf(piece, copies, 'plan', view);
    const [cx, cy] = [(box.left + box.right) / 2, (box.top + box.bottom) / 2];
    const at = (degrees: number): [number, number] => [
      cx + Math.cos((degrees * Math.PI) / 180) * view.perMetre,
      cy + Math.sin((degrees * Math.PI) / 180) * view.across,
    ];
    expect(dragged(piece, copies, 'plan', 'turn', view, at(0), at(30)).heading).toBeCloseTo(30, 1);
  });

  it('finds handles first, then the smallest thing; a tunnel has no place of its own', () => {
    const box = boxOf(piece, copies, 'plan', view);
    expect(hit(piece, view, 'one', ...scaleHandle(box))).toMatchObject({ id: 'one', grip: 'scale' });
    expect(hit(piece, view, 'one', ...turnHandle(box))).toMatchObject({ id: 'one', grip: 'turn' });
    const middle = [(box.left + box.right) / 2, (box.top + box.bottom) / 2] as const;
    expect(hit(piece, view, null, ...middle)).toMatchObject({ id: 'one', lane: 'plan', grip: 'move' });
    expect(gripsOf(newLayer('tunnel', 't', 'T'))).toEqual([]);
    expect(gripsOf(newLayer('ground', 'g', 'G'))).toEqual(['move', 'scale']);
  });
});

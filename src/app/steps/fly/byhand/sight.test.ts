import { describe, expect, it } from 'vitest';
import { cameraPose } from '../../../../core/world/camera';
import { PieceSchema } from '../../../../core/piece/schema';
import { length, subtract } from '../../../../core/space/vector';
import { OBSERVER_MM, seenPiece } from './modes';
import { newLight } from '../../../../core/look/lights/kinds';
import { cameraFigure, fieldCorners, lightFigures, projector } from './sight';

const piece = PieceSchema.parse({
  id: 'p',
  name: 'P',
  lap: { frames: 100, rate: { num: 25, den: 1 } },
  layers: [],
  flight: { focalMm: 36, focusM: 4, handUp: 0.2, lens: 'perspective' },
  look: {},
});
const view = { aside: 0, above: 0, ahead: 0, yaw: 0, pitch: 0, roll: 0 };

describe('the observer', () => {
  const project = projector(view, 800, 450);

  it('projects as the lens of the picture behind it does', () => {
    // 28 mm on 36 mm: at 28 m the picture is 36 m wide
    const [x, y] = project([18, 0, -28], [18, 0, -28]) ?? [];
    expect(x).toBeCloseTo(800, 6);
    expect(y).toBeCloseTo(225, 6);
    expect(OBSERVER_MM).toBe(28);
  });

  it('cuts off what passes behind the eye', () => {
    expect(project([0, 0, 5], [1, 0, 5])).toBeNull();
    const cut = project([0, 0, -10], [0, 1, 10]);
    expect(cut?.every(Number.isFinite)).toBe(true);
  });

  it('shows the field as wide as the camera sees it, with and without perspective', () => {
    const pose = cameraPose(piece, 0.2);
    const [a, b] = fieldCorners(pose, 4, 16 / 9);
    expect(length(subtract(b, a))).toBeCloseTo(4, 9);
    const flat = fieldCorners({ ...pose, orthoWidth: 7 }, 4, 16 / 9);
    expect(length(subtract(flat[1], flat[0]))).toBeCloseTo(7, 9);
    const figure = cameraFigure(piece, 0.2);
    expect(figure.near).toBeLessThan(figure.sharp);
    expect(figure.far).toBeGreaterThan(figure.sharp);
    // the route without the hand: straight
    expect(Math.max(...figure.route.map((p) => Math.abs(p[1])))).toBeCloseTo(0, 9);
  });

  it('and the hand see another flight; the piece itself stays as it is', () => {
    expect(seenPiece(piece, null, null)).toBe(piece);
    const observed = cameraPose(seenPiece(piece, null, { ...view, aside: 9 }), 0.4);
    expect(observed.position[0]).toBeCloseTo(9, 9);
    expect(observed.fNumber).toBe(22);
    expect(cameraPose(seenPiece(piece, { ...view, above: 2 }, null), 0.4).position[1]).toBeCloseTo(2, 9);
    expect(piece.flight.route.kind).toBe('run');
  });

  it('shows lights where they stand: a spot by its cone, a soft box by its sides, what is off or all around not', () => {
    const lights = [
      newLight('spot', 'a', { aside: 1, above: 2, ahead: 3, cone: 60, heading: 0, tilt: 0, reach: 20 }),
      newLight('softBox', 'b', { aside: 0, above: 0, ahead: 4, wide: 2, high: 1, heading: 90, tilt: 0 }),
      { ...newLight('point', 'c'), off: true },
      newLight('sun', 'd'),
    ];
    const [spot, box, ...rest] = lightFigures({ ...piece, look: { ...piece.look, lights } }, 0);
    expect(rest).toEqual([]);
    expect(spot.place).toEqual([1, 2, -3]);
    // two metres ahead its edge is 2 tan 30° from the middle
    for (const p of spot.lines[0]) {
      expect(p[2]).toBeCloseTo(-5, 9);
      expect(Math.hypot(p[0] - 1, p[1] - 2)).toBeCloseTo(2 * Math.tan(Math.PI / 6), 9);
    }
    // turned to the right, its width lies along the travel
    expect(Math.max(...box.lines[0].map((p) => Math.abs(p[0])))).toBeCloseTo(0, 9);
    expect(Math.max(...box.lines[0].map((p) => Math.abs(p[2] + 4)))).toBeCloseTo(1, 9);
    expect(Math.max(...box.lines[0].map((p) => Math.abs(p[1])))).toBeCloseTo(0.5, 9);
  });
});

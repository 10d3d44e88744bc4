import { describe, expect, it } from 'vitest';
import { PieceSchema, type Piece } from './schema';
import { cameraPose, type CameraPose } from '../world/camera';
import { cameraKeys, easeCameraKey, moveCameraKey, removeCameraKey } from './cameraKeys';
import { keepView } from '../world/keep';
import { viewTurn } from '../flight/routes/view';

const empty: Piece = PieceSchema.parse({
  id: 'p',
  name: 'P',
  lap: { frames: 100, rate: { num: 25, den: 1 } },
  layers: [],
  flight: {},
  look: {},
});
const pose = (x: number, yaw: number): CameraPose => ({
  ...cameraPose(empty, 0),
  position: [x, 0, 0],
  quaternion: viewTurn({ yaw, pitch: 0, roll: 0 }),
});
const piece = keepView(keepView(empty, 'keys', pose(1, 0), 0.1, 'a'), 'keys', pose(5, 60), 0.6, 'b');

describe('camera keys', () => {
  it('are one for all the values that a kept view set', () => {
    expect(cameraKeys(piece)).toEqual([
      { frame: 10, ease: 'smooth' },
      { frame: 60, ease: 'smooth' },
    ]);
    expect(cameraKeys(empty)).toEqual([]);
  });

  it('move together, but never onto one another', () => {
    const moved = moveCameraKey(piece, 60, 80);
    expect(cameraKeys(moved).map(({ frame }) => frame)).toEqual([10, 80]);
    expect(cameraPose(moved, 0.8)).toEqual(cameraPose(piece, 0.6));
    expect(moveCameraKey(piece, 60, 10)).toBe(piece);
    expect(cameraKeys(moveCameraKey(piece, 10, -5)).map(({ frame }) => frame)).toEqual([60, 95]);
  });

  it('are eased together, and say when their values differ', () => {
    expect(cameraKeys(easeCameraKey(piece, 10, 'linear'))[0].ease).toBe('linear');
    const { route } = piece.flight;
    if (route.kind !== 'keys' || typeof route.aside !== 'object' || route.aside.law !== 'keyed')
      throw new Error('no keys');
    const aside = { ...route.aside, keys: route.aside.keys.map((key) => ({ ...key, ease: 'hold' as const })) };
    const mixed = { ...piece, flight: { ...piece.flight, route: { ...route, aside } } };
    expect(cameraKeys(mixed)[0].ease).toBeNull();
  });

  it('go together; the last one leaves the camera where it was', () => {
    const one = removeCameraKey(piece, 10);
    expect(cameraKeys(one).map(({ frame }) => frame)).toEqual([60]);
    const none = removeCameraKey(one, 60);
    expect(cameraKeys(none)).toEqual([]);
    expect(cameraPose(none, 0.3).position[0]).toBeCloseTo(5, 9);
  });
});

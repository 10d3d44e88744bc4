import { expect, it } from 'vitest';
import { cameraPose } from '../world/camera';
import { layerBatch } from '../world/batch';
import { retimed } from './retime';
import { PieceSchema } from './schema';

const piece = PieceSchema.parse({
  id: 'p',
  name: 'P',
  lap: { frames: 100, rate: { num: 25, den: 1 } },
  layers: [
    {
      kind: 'field',
      id: 'f',
      name: 'F',
      count: 40,
      treatments: [
        { kind: 'drift', id: 'd' },
        { kind: 'trails', id: 't', every: 2 },
      ],
    },
  ],
  flight: { yaw: { law: 'swing', middle: 0, reach: 20, cycles: 2, wave: 'sine', shift: 0 } },
  look: {},
});

const exchanging = PieceSchema.parse({
  ...piece,
  layers: [{ kind: 'copies', id: 'c', name: 'C', exchanges: [{ id: 'e', body: 'sphere', from: 40, to: 60 }] }],
});

it('a longer lap moves as before, only slower', () => {
  const longer = retimed(piece, { ...piece.lap, frames: 250 });
  expect(longer.lap.frames).toBe(250);
  for (const phase of [0.2, 0.7]) {
    expect(cameraPose(longer, phase)).toEqual(cameraPose(piece, phase));
    expect(layerBatch(longer, 'f', phase).position).toEqual(layerBatch(piece, 'f', phase).position);
  }
  const frames = (p: typeof piece): number[] =>
    Object.values(p.layers[0].treatments[1]).filter((v): v is number => typeof v === 'number');
  const half = retimed(exchanging, { ...exchanging.lap, frames: 50 });
  expect(half.layers[0]).toMatchObject({ exchanges: [{ from: 20, to: 30 }] });
  // the trail is as long a share of the lap
  expect(frames(longer)).not.toEqual(frames(piece));
});

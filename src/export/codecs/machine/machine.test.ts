import { expect, it } from 'vitest';
import { DELIVERY } from '../../../core/deliveries/form';
import type { MachineLook } from '../../machine/kinds';
import type { FrameFacts, Settings } from '../codec';
import { verified } from './machine';

const settings: Settings = {
  ...{ delivery: DELIVERY.schema.parse({ id: 'd', format: 'hap', repeats: 2 }), stem: 'a' },
  ...{ rate: { num: 25, den: 1 }, each: { num: 1, den: 1 }, frames: [10, 11, 12], lap: false, width: 40, height: 40 },
};
/** One cell a frame. */
const facts: FrameFacts[] = [20, 90, 200].map((grey) => ({ cells: [grey], sum: 0 }));
const look = (greys: readonly number[], more: Partial<MachineLook> = {}): MachineLook => ({
  ...{ frames: greys.length, seconds: greys.length / 25, width: 40, height: 40, codec: 'hap' },
  cells: btoa(String.fromCharCode(...greys.flatMap((grey) => [grey, grey, grey]))),
  ...more,
});
const found = (own: MachineLook) => verified(own, settings, facts);
const LAPS = [21, 88, 203, 20, 90, 200];

it('every frame of every lap is compared with the one that was rendered', () => {
  expect(found(look(LAPS))).toMatchObject({ ok: true, says: '6 frames, 0.240 s, hap, each as it was rendered' });
  expect(found(look(LAPS.with(4, 60)))).toMatchObject({
    ok: false,
    says: '6 frames, 0.240 s, hap, but frame 11 is not the picture that was rendered',
  });
});

it('a file that is too short, too slow or of another size is none', () => {
  expect(found(look(LAPS.slice(1))).says).toBe('5 frames, 0.200 s, hap, but 6 frames and 0.240 s were asked for');
  expect(found(look(LAPS, { seconds: 0.25 })).ok).toBe(false);
  expect(found(look(LAPS, { width: 44 })).says).toBe('6 frames, 0.240 s, hap, but 44×40');
});

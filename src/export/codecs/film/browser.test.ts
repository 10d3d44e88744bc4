import { expect, it } from 'vitest';
import { DELIVERY } from '../../../core/deliveries/form';
import type { Settings } from '../codec';
import { mp4 } from '../mp4/mp4';
import { partFrames } from './browser';
import { wholeTimes } from './moving';
import { bitrate, tenBitVp9 } from './write';

const settings = (more: Partial<Settings> = {}, delivery: object = {}): Settings => ({
  delivery: DELIVERY.schema.parse({ id: 'd', ...delivery }),
  stem: 'a',
  rate: { num: 24, den: 1 },
  each: { num: 1, den: 1 },
  frames: [0, 1, 2],
  lap: false,
  width: 6,
  height: 4,
  ...more,
});

it('refuses odd sizes, and browsers without an encoder, in words', async () => {
  expect(await mp4.refusal(settings({ width: 7 }))).toBe('H.264 needs even sizes; 7×4 is not');
  // Node has no VideoEncoder: the same as a browser without one
  expect(await mp4.refusal(settings())).toBe('this browser has no video encoder; PNG pictures work');
});

it('a part is about a second', () => {
  expect(partFrames(settings({ rate: { num: 30000, den: 1001 } }))).toBe(30);
  expect(partFrames(settings({ rate: { num: 8, den: 1 } }))).toBe(12);
  expect(partFrames(settings({ rate: { num: 120, den: 1 } }))).toBe(60);
});

it('bits a second follow from size and rate, or are as asked', () => {
  expect(bitrate(settings({ width: 1920, height: 1080 }, { rate: 'high' }))).toBe(Math.round(1920 * 1080 * 24 * 0.25));
  expect(bitrate(settings({}, { rate: 'own', megabits: 12.5 }))).toBe(12_500_000);
  const at = (filmQuality: number): number =>
    bitrate(settings({ width: 1920, height: 1080 }, { rate: 'quality', filmQuality }));
  expect(at(75)).toBe(bitrate(settings({ width: 1920, height: 1080 }, { rate: 'high' })));
  expect([at(95) / at(75), at(55) / at(75)].map((v) => Number(v.toFixed(3)))).toEqual([2, 0.5]);
});

// "VP9 Levels" of the WebM project, from memory: 1080p at 30 is level 4, 2160p at 60 level 5.1
it('ten-bit VP9 is named by the level that its size and rate need', () => {
  const at = (width: number, height: number, hz: number) =>
    tenBitVp9(settings({ width, height, rate: { num: hz, den: 1 } }));
  expect(at(320, 180, 30)).toBe('vp09.02.11.10');
  expect(at(1920, 1080, 30)).toBe('vp09.02.40.10');
  expect(at(3840, 2160, 60)).toBe('vp09.02.51.10');
});

it('frames that are shown for whole hundredths of a second last as long as they should together', () => {
  const film = settings({ rate: { num: 30, den: 1 }, each: { num: 90, den: 45 } });
  const times = wholeTimes(film, 100, 0, 45);
  expect(times.reduce((a, b) => a + b)).toBe(300);
  expect(Math.max(...times) - Math.min(...times)).toBe(1);
  expect(wholeTimes(film, 100, 7, 3)).toEqual(times.slice(7, 10));
});

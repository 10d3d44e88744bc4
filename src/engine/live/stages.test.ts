import { describe, expect, it } from 'vitest';
import { stagesAfter } from './stages';

const said = (samples: number, scale: number, ms: number, density = 1, coarseness = 1): string =>
  stagesAfter(samples, { scale, density, coarseness, ms })
    .map((stage) => `${stage.passes}@${stage.scale}`)
    .join(' ');

describe('the pictures of a paused frame', () => {
  it('begin with what can be had at once at the size that is shown, and end with the piece’s own', () => {
    expect(said(16, 0.5, 20)).toBe('8@0.5 4@1 16@1');
    expect(said(64, 0.5, 50)).toBe('4@0.5 4@1 16@1 64@1');
    expect(said(64, 0.5, 90)).toBe('2@0.5 1@1 4@1 16@1 64@1');
    expect(said(32, 0.5, 400)).toBe('1@1 4@1 16@1 32@1');
  });

  it('come to half size first where less is shown', () => {
    expect(said(4, 0.25, 300)).toBe('1@0.5 1@1 4@1');
    expect(said(4, 0.25, 10)).toBe('4@0.5 4@1');
  });

  it('bring back all particles at once where some were left out, and do not take them for quicker than they are', () => {
    expect(said(16, 0.5, 20, 0.25)).toBe('2@0.5 1@1 4@1 16@1');
    expect(said(1, 1, 90, 0.5)).toBe('1@1');
  });

  it('have fine shapes again at once where they were coarse', () => {
    expect(said(16, 0.5, 90, 1, 2.5)).toBe('1@0.5 1@1 4@1 16@1');
    expect(said(1, 1, 90, 1, 2.5)).toBe('1@1');
  });

  it('do not repeat what is shown', () => {
    expect(said(16, 1, 10)).toBe('8@1 16@1');
    expect(said(4, 1, 300)).toBe('4@1');
    expect(said(1, 1, 10)).toBe('');
    expect(said(1, 0.7, 10)).toBe('1@1');
    expect(said(2, 0.7, 10)).toBe('2@0.7 1@1 2@1');
  });

  it('never lose more passes than the size makes up for', () => {
    for (const samples of [1, 2, 4, 8, 16, 32, 64, 128, 256])
      for (const scale of [0.25, 0.42, 0.5, 0.7, 1])
        for (const ms of [5, 30, 60, 120, 500]) {
          const stages = stagesAfter(samples, { scale, density: 1, coarseness: 1, ms });
          if (samples > 1 || scale < 1) expect(stages.at(-1)).toEqual({ passes: samples, scale: 1 });
          let before = { passes: 1, scale };
          for (const stage of stages) {
            expect(stage.scale).toBeGreaterThanOrEqual(before.scale);
            expect(stage.passes * stage.scale ** 2).toBeGreaterThan(before.passes * before.scale ** 2 * 0.99);
            expect(stage.passes).toBeGreaterThanOrEqual(before.passes / 2);
            before = stage;
          }
        }
  });
});

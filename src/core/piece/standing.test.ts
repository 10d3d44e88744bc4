import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { standing } from '../../../tests/standing';

it('the page of what stands in which demo piece is that of the demo pieces: npm run pieces', () => {
  expect(readFileSync('docs/pieces.md', 'utf8')).toBe(standing());
});

it('everything there is stands in a piece that can be looked at', () => {
  expect(
    standing()
      .split('\n')
      .filter((line) => line.includes('in none yet')),
  ).toEqual([]);
});

import { describe, expect, it } from 'vitest';
import { guiltyPart, type Suspect } from './guilty';

/** Residuals of a picture whose layers jump by so much each, over one that any frame has. */
function measured(jumps: Readonly<Record<string, number>>, usual: number) {
  const ids = Object.keys(jumps).map((id): Suspect => ({ part: 'layer', id }));
  const of = (hidden: readonly Suspect[]): number =>
    Math.hypot(usual, ...ids.filter((one) => !hidden.includes(one)).map(({ id }) => jumps[id]));
  let count = 0;
  const without = (hidden: readonly Suspect[]): Promise<number> => {
    count++;
    return Promise.resolve(of(hidden));
  };
  return { ids, whole: of([]), without, count: () => count };
}

describe('the layer that makes a jump', () => {
  it('is found wherever it stands, in twice as many measurements as the number of layers has binary places', async () => {
    for (const many of [1, 2, 3, 7, 24])
      for (let at = 0; at < many; at++) {
        const jumps = Object.fromEntries(Array.from({ length: many }, (_, i) => [`l${i}`, i === at ? 0.1 : 0]));
        const { ids, whole, without, count } = measured(jumps, 0.01);
        const found = await guiltyPart(ids, whole, 0.01, without);
        expect(found?.id).toBe(`l${at}`);
        expect(found?.share).toBeCloseTo(1, 6);
        expect(count()).toBeLessThanOrEqual(Math.max(1, 2 * Math.ceil(Math.log2(many))));
      }
  });

  it('is found also where others do much there that is no jump', async () => {
    // hidden with it, what moves anyway leaves less too, yet more than without the jump
    const jumps: Record<string, number> = { calm: 0, pops: 0.06, busy: 0.05, dust: 0.01 };
    const { ids, whole, without } = measured(jumps, 0.002);
    expect(await guiltyPart(ids, whole, 0.05, without)).toMatchObject({ part: 'layer', id: 'pops' });
  });

  it('is the greater of two, with its share', async () => {
    const { ids, whole, without } = measured({ a: 0, b: 0.09, c: 0, d: 0.03 }, 0.01);
    const found = await guiltyPart(ids, whole, 0.01, without);
    expect(found?.id).toBe('b');
    expect(found?.share).toBeCloseTo(0.09 ** 2 / (0.09 ** 2 + 0.03 ** 2), 6);
  });

  it('is none where each makes little of it, where there is none, or it was stopped', async () => {
    const many = Object.fromEntries(Array.from({ length: 12 }, (_, i) => [`l${i}`, 0.05]));
    const { ids, whole, without } = measured(many, 0.01);
    expect(await guiltyPart(ids, whole, 0.01, without)).toBeNull();
    expect(await guiltyPart([], 0.1, 0.01, without)).toBeNull();
    expect(await guiltyPart(ids.slice(0, 2), 0.1, 0.01, () => Promise.resolve(null))).toBeNull();
  });
});

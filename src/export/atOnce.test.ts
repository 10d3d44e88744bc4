import { describe, expect, it } from 'vitest';
import { AtOnce } from './atOnce';

const tick = () => new Promise<void>((resolve) => setTimeout(resolve));

describe('things done at once', () => {
  it.each([1, 2, 3])('are never more than %i, and all are done', async (most) => {
    const work = new AtOnce(most);
    const done: number[] = [];
    let [now, greatest] = [0, 0];
    for (let i = 0; i < 7; i++)
      await work.begin(async () => {
        greatest = Math.max(greatest, ++now);
        for (let wait = 0; wait <= i % 3; wait++) await tick();
        now--;
        done.push(i);
      });
    expect(done.length).toBeLessThan(7);
    await work.done();
    expect(done.sort()).toEqual([0, 1, 2, 3, 4, 5, 6]);
    expect(greatest).toBe(most);
  });

  it('what fails is heard of, nothing is begun after it, and what is on its way comes to its end', async () => {
    const work = new AtOnce(2);
    const ended: string[] = [];
    const slow = async (): Promise<void> => {
      for (let wait = 0; wait < 4; wait++) await tick();
      ended.push('slow');
    };
    await work.begin(slow);
    await work.begin(() => Promise.reject(new Error('it broke')));
    await expect(work.begin(() => Promise.resolve(void ended.push('late')))).rejects.toThrow('it broke');
    await expect(work.done()).rejects.toThrow('it broke');
    expect(ended).toEqual(['slow']);
  });
});

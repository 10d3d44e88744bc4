import * as Comlink from 'comlink';
import { afterAll, describe, expect, it } from 'vitest';
import { Trouble } from '../../core/trouble';
import { letTroublesCross } from './crossing';

letTroublesCross();

const api = {
  fail: (): void => {
    throw new Trouble('stopped', 'it stopped', { received: 'silence', would: 'Trying again may help.' });
  },
  odd: (): void => {
    throw new TypeError('odd');
  },
  give: (): Trouble => new Trouble('cancelled', 'as asked'),
  take: (trouble: Trouble): string => `${trouble instanceof Trouble} ${trouble.code} ${trouble.would ?? ''}`,
};

describe('between two ends of a real channel', () => {
  const { port1, port2 } = new MessageChannel();
  Comlink.expose(api, port1);
  const remote = Comlink.wrap<typeof api>(port2);
  afterAll(() => (port1.close(), port2.close()));

  it('a thrown trouble arrives as it was', async () => {
    const error: unknown = await remote.fail().catch((caught: unknown) => caught);
    expect(error).toBeInstanceOf(Trouble);
    expect(error).toMatchObject({ code: 'stopped', received: 'silence', would: 'Trying again may help.' });
  });

  it('so does one that is handed over, either way', async () => {
    expect(await remote.give()).toMatchObject({ code: 'cancelled', message: 'as asked' });
    expect(await remote.take(new Trouble('refused', 'no', { would: 'Yes.' }))).toBe('true refused Yes.');
  });

  it('other errors stay what they are', async () => {
    const error: unknown = await remote.odd().catch((caught: unknown) => caught);
    expect(error).toMatchObject({ name: 'TypeError', message: 'odd' });
    expect(error).not.toBeInstanceOf(Trouble);
  });
});

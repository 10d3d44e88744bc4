import { describe, expect, it } from 'vitest';
import { asTrouble, Trouble, troubleCode, troubleWords } from './trouble';

describe('a trouble', () => {
  const full = new Trouble('refused', 'the file was refused', {
    received: '12 bytes',
    would: 'A whole file would do.',
  });

  it('says what happened, what was received and what would do', () => {
    expect(troubleWords(full)).toBe('the file was refused (12 bytes). A whole file would do.');
    expect(troubleWords(new Trouble('stopped', 'it stopped'))).toBe('it stopped');
    expect(troubleWords(new TypeError('odd'))).toBe('odd');
    expect(troubleWords('plain')).toBe('plain');
  });

  it('is the same after its way as data, as JSON too', () => {
    const back = Trouble.from(JSON.parse(JSON.stringify(full.data)) as typeof full.data);
    expect(back).toBeInstanceOf(Trouble);
    expect(back.data).toEqual(full.data);
    expect(back.name).toBe('refused');
  });

  it('has a code that errors from elsewhere have not', () => {
    expect(troubleCode(full)).toBe('refused');
    expect(troubleCode(new Error('x'))).toBeNull();
    expect(asTrouble(full, 'stopped')).toBe(full);
    expect(asTrouble(new Error('x'), 'stopped')).toMatchObject({ code: 'stopped', message: 'x' });
  });
});

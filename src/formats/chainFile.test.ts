import { expect, it } from 'vitest';
import { CHAINS } from '../core/look/chains/chains';
import { isChain, readChain, writeChain } from './chainFile';

it('effects that were written are read as they were', () => {
  for (const { name, effects } of CHAINS) {
    const json: unknown = JSON.parse(writeChain({ name, effects }));
    expect(isChain(json)).toBe(true);
    expect(readChain(json)).toEqual({ ok: true, chain: { name, effects } });
  }
});

it('what is wrong is said with its place, and what is newer is not read', () => {
  const json = JSON.parse(writeChain(CHAINS[1])) as { version: number; effects: { kind: string; gain?: number }[] };
  const glow = json.effects.findIndex(({ kind }) => kind === 'halation');
  json.effects[glow].gain = -3;
  const wrong = readChain(json);
  expect(wrong.ok ? [] : wrong.problems.map(({ where }) => where)).toEqual([`look.effects.${glow}.gain`]);
  expect(readChain({ ...json, version: 999 }).ok).toBe(false);
  expect(readChain({ ...json, effects: 'all' }).ok).toBe(false);
  expect(readChain({ ...json, effects: [{ kind: 'nothing of the kind', id: 'x' }] }).ok).toBe(false);
  // tone is what no look can be without
  expect(readChain({ ...json, effects: [] }).ok).toBe(false);
  expect(isChain({ format: 'isomorph' })).toBe(false);
});

import { expect, it } from 'vitest';
import { CHAINS } from '../core/look/chains/chains';
import { isChain, readChain, writeChain } from './chainFile';

it('effects that were written are read as they were', () => {
  for (const { name, effects } of CHAINS) {
    const json: unknown = JSON.parse(writeChain({ name, effects }));
    expect(isChain(json)).toBe(true);
    expect(readChain(json)).toEqual({ ok: true, chain: { name, effects }, tables: [] });
  }
});

it('tables of colours go with the effects that name them', () => {
  const tables = [{ name: 'own.cube', text: 'LUT_1D_SIZE 2\n0 0 0\n1 1 1\n' }];
  const read = readChain(JSON.parse(writeChain(CHAINS[1], tables)));
  expect(read.ok ? read.tables : read.problems).toEqual(tables);
  expect(readChain({ ...JSON.parse(writeChain(CHAINS[1])), tables: [{ name: 'own.cube' }] }).ok).toBe(false);
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

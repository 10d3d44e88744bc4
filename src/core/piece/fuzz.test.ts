import { parsePiece } from '../world/open';
import { expect, it } from 'vitest';
import { tryOne, type Mishap } from '../../../tests/fuzz/fuzz';

it(
  '200 damaged files are read or refused, and what is accepted can be stored, evaluated and reported',
  { timeout: 240_000 },
  () => {
    const mishaps: Mishap[] = [];
    let accepted = 0;
    for (let index = 0; index < 200; index++) {
      const result = tryOne(2, index);
      if (result.mishap) mishaps.push(result.mishap);
      if (result.accepted) accepted++;
    }
    expect(mishaps).toEqual([]);
    // neither is everything refused, nor everything let through
    expect(accepted).toBeGreaterThan(40);
    expect(accepted).toBeLessThan(120);
  },
);

const minimal = (parts: object): unknown => ({
  format: 'isomorph',
  version: 3,
  piece: {
    id: 'p',
    name: 'P',
    lap: { frames: 24, rate: { num: 24, den: 1 } },
    layers: [],
    flight: {},
    look: {},
    ...parts,
  },
});
const problem = (json: unknown): string => {
  const parsed = parsePiece(json);
  return parsed.ok ? 'none' : parsed.problems.map(({ where, what }) => `${where}: ${what}`).join('\n');
};

it('text that cannot be stored, nesting without end and names of the language are refused in words', () => {
  expect(problem(minimal({ name: 'half \ud800' }))).toBe(
    'name: is text with half a letter in it, which cannot be stored',
  );
  const deep: Record<string, unknown> = {};
  let at = deep;
  for (let i = 0; i < 100_000; i++) at = at['in'] = {} as Record<string, unknown>;
  expect(problem(minimal({ note: deep }))).toMatch(/^note\.in.*: is nested more than 40 deep$/);
  expect(
    problem(JSON.parse(JSON.stringify(minimal({})).replace('"layers"', '"__proto__":{"layers":3},"layers"'))),
  ).toMatch(/__proto__/);
  expect(problem(minimal({ lap: { frames: NaN, rate: { num: 24, den: 1 } } }))).toBe(
    'lap.frames: is not a finite number',
  );
  expect(problem(minimal({ note: 'x'.repeat(300_000) }))).toMatch(
    /^note: is not known to this version, and is too much/,
  );
  expect(problem(minimal({ note: 'short' }))).toBe('none');
  const shake = {
    format: 'isomorph',
    version: 2,
    piece: { ...(minimal({}) as { piece: object }).piece, flight: { shake: 'toString' } },
  };
  expect(problem(shake)).toBe('none');
});

it('layers that stand on themselves, and nets that name one another, are named', () => {
  const net = (id: string, from: string) => ({ kind: 'links', id, name: id, from });
  expect(problem(minimal({ layers: [net('a', 'a')] }))).toBe('layers.0.from: leads back to its own layer: “a” → “a”');
  expect(problem(minimal({ layers: [net('a', 'b'), net('b', 'c'), net('c', 'a')] }))).toMatch(/“a” → “b” → “c” → “a”/);
  expect(problem(minimal({ layers: [net('a', 'b'), { kind: 'field', id: 'b', name: 'b' }] }))).toBe('none');
});

import { expect, it } from 'vitest';
import { memo } from './memo';

it('makes what is asked for once, and lets the oldest go when there are too many', () => {
  const made: string[] = [];
  const of = memo<string>(2);
  const ask = (key: string): string => of(key, () => (made.push(key), key.toUpperCase()));
  expect([ask('a'), ask('b'), ask('a'), ask('c'), ask('c'), ask('b')]).toEqual(['A', 'B', 'A', 'C', 'C', 'B']);
  // a was the oldest when c came
  expect(made).toEqual(['a', 'b', 'c']);
  ask('a');
  expect(made).toEqual(['a', 'b', 'c', 'a']);
});

it('remembers that there is nothing', () => {
  let made = 0;
  const of = memo<undefined>(2);
  for (let i = 0; i < 3; i++) of('none', () => void made++);
  expect(made).toBe(1);
});

import { expect, it } from 'vitest';
import { newId } from './edit';

it('ids are new every time', () => {
  expect(new Set(Array.from({ length: 100 }, () => newId('x'))).size).toBe(100);
});

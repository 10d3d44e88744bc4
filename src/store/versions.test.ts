import { beforeEach, expect, it } from 'vitest';
import { pieceOf } from '../../tests/pieces';
import { database } from './database';
import { deletePiece } from './pieces';
import { usesOf } from './uses';
import { keepVersion, removeVersion, renameVersion, versionsOf } from './versions';

const piece = { ...pieceOf({ kind: 'field' }), id: 'p', name: 'Quay' };
const later = { ...piece, tile: piece.tile * 2 };

beforeEach(() => Promise.all([database.versions.clear(), database.pieces.clear()]));

it('are kept as they are under names that count, the newest first, and can be named', async () => {
  expect(await keepVersion(piece, 1)).toBe('Version 1');
  expect(await keepVersion(later, 2)).toBe('Version 2');
  await keepVersion({ ...piece, id: 'other' }, 3);
  const [newest, oldest] = await versionsOf('p');
  expect([newest.piece, oldest.piece]).toEqual([later, piece]);
  await renameVersion(newest.id, 'Wider');
  // the number after the greatest there is
  expect(await keepVersion(piece, 4)).toBe('Version 2');
  expect((await versionsOf('p')).map(({ name }) => name)).toEqual(['Version 2', 'Wider', 'Version 1']);
});

it('that are removed can be brought back, and go with their piece', async () => {
  await keepVersion(piece, 1);
  const [{ id }] = await versionsOf('p');
  const bringBack = await removeVersion(id);
  expect(await versionsOf('p')).toEqual([]);
  await bringBack();
  expect(await versionsOf('p')).toHaveLength(1);
  await deletePiece('p');
  expect(await database.versions.count()).toBe(0);
});

it('keep the files they name from being removed; what cannot be read any more is left out', async () => {
  await keepVersion({ ...piece, name: 'Quay of a0b1c2' }, 1);
  expect((await usesOf(['a0b1c2', 'ffff'])).get('a0b1c2')?.map(({ name }) => name)).toEqual([
    '“Version 1” of Quay of a0b1c2',
  ]);
  const [{ id }] = await versionsOf('p');
  await database.versions.update(id, { version: 9999 });
  expect(await versionsOf('p')).toEqual([]);
});

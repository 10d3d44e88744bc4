import { z } from 'zod';
import { form, number, shownParts, stored, text, type Heading, type ValueOf } from '../../forms';
import { memo } from '../../memo';

const factor = { unit: '×', min: 0, max: 100, comfort: 3, decimals: 2 };
const place = { min: 0, max: 1, decimals: 2 };

/** Particles of a stream that differ from the others: what the stream says, times what they say. */
const GroupForm = form({
  id: stored(z.string().min(1).max(64)),
  name: text('Group', { label: 'Name', most: 60, hint: 'What it is called.' }),
  share: number(1, {
    label: 'Share',
    min: 0.01,
    max: 100,
    comfort: 4,
    decimals: 2,
    hint: 'How many of the particles are of it, beside the shares of the others.',
  }),
  speed: number(1, { label: 'Speed', ...factor, hint: 'Times the speed of the stream.' }),
  spread: number(1, { label: 'Spread', ...factor, hint: 'Times the spread of the stream.' }),
  life: number(1, { label: 'Life', ...factor, min: 0.02, max: 20, hint: 'Times the life of the stream.' }),
  drag: number(1, { label: 'Drag', ...factor, hint: 'Times the drag of the stream.' }),
  swirl: number(1, { label: 'Turbulence', ...factor, hint: 'Times the turbulence of the stream.' }),
  wind: number(1, { label: 'Wind', ...factor, min: -100, hint: 'Times the wind of the stream.' }),
  size: number(1, { label: 'Size', ...factor, hint: 'Times the size of the stream.' }),
  from: number(0, { label: 'Colours from', ...place, hint: 'Where on the gradient its colours begin.' }),
  to: number(1, { label: 'Colours to', ...place, hint: 'Where on the gradient its colours end.' }),
});
export type Group = ValueOf<typeof GroupForm>;

/** The list of them. */
export const groupsField = (group: Heading) =>
  shownParts(GroupForm, 8, (one) => (one as Group).name || 'Group', {
    label: 'Groups',
    adds: 'Group',
    group,
    hint: 'Particles shared out among groups that differ; without any all are alike.',
  });

/** Numbers that a group has in the table, four an entry: see stream.glsl. */
const ENTRIES = 3;
/** So many particles that follow one another are shared out as all of them are. */
const ROUND = 64;

/** Which group each of some particles that follow one another is of, by their shares; even ones take turns. */
function turnsOf(groups: readonly Group[]): number[] {
  if (groups.length === 0) return [0];
  if (groups.every(({ share }) => share === groups[0].share)) return groups.map((_, i) => i);
  const all = groups.reduce((sum, { share }) => sum + share, 0);
  const had = groups.map(() => 0);
  // each in turn goes to the one that is most behind its share
  return Array.from({ length: ROUND }, (_, turn) => {
    const behind = groups.map(({ share }, i) => (share / all) * (turn + 1) - had[i]);
    const next = behind.indexOf(Math.max(...behind));
    had[next]++;
    return next;
  });
}

const tables = memo<{ groups: number; groupRows: number; groupTable: Float64Array }>(24);

/** The groups of a stream as its kernel takes them: whose turn each particle is, then the numbers of each. */
export const groupValues = (groups: readonly Group[]) =>
  tables(JSON.stringify(groups), () => {
    const turns = turnsOf(groups);
    const rows = groups.map(({ speed, spread, life, drag, swirl, wind, size, from, to }) => [
      ...[speed, spread, life, drag],
      ...[swirl, wind, size, 0],
      ...[from, to, 0, 0],
    ]);
    if (rows.length === 0) rows.push([1, 1, 1, 1, 1, 1, 1, 0, 0, 1, 0, 0]);
    const table = new Float64Array((turns.length + rows.length * ENTRIES) * 4);
    turns.forEach((group, i) => table.set([group, 0, 0, 0], i * 4));
    rows.forEach((row, i) => table.set(row, (turns.length + i * ENTRIES) * 4));
    return { groups: rows.length, groupRows: turns.length, groupTable: table };
  });

/** The most of a factor among the groups; what the stream says itself where there are none. */
export const mostOf = (
  groups: readonly Group[],
  name: 'speed' | 'life' | 'drag' | 'swirl' | 'wind' | 'size',
): number => (groups.length === 0 ? 1 : Math.max(...groups.map((group) => Math.abs(group[name]))));

/** The least. */
export const leastOf = (groups: readonly Group[], name: 'drag'): number =>
  groups.length === 0 ? 1 : Math.min(...groups.map((group) => group[name]));

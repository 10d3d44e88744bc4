import { describe, expect, it } from 'vitest';
import {
  animated,
  choice,
  colour,
  flag,
  form,
  gradient,
  heading,
  headingsOf,
  integer,
  isShown,
  kinds,
  layerRef,
  list,
  listOf,
  number,
  part,
  profile,
  profileHalves,
  shownIf,
  shownPart,
  stored,
  tag,
  three,
  unshown,
  vectorFields,
  without,
  type ValueOf,
} from '.';
import { z } from 'zod';
import { animatedIn, heldBy, partsOf, unknownIn, withParts } from './walk';

const first = heading('First');
const last = heading('Last', 1);

const LAMP = form({
  id: stored(z.string()),
  kind: tag('lamp'),
  lit: flag(true, { label: 'Lit', group: last, hint: 'Whether it shines.' }),
  colour: colour('#ffcc88', { label: 'Colour', group: first, when: { field: 'lit', is: [true] }, hint: 'Its colour.' }),
  light: animated(2, { label: 'Light', min: 0, max: 10, group: first, hint: 'How much.' }),
});
const POST = form({
  id: stored(z.string()),
  kind: tag('post'),
  height: number(3, { label: 'Height', unit: 'm', min: 0, max: 10, hint: 'Metres.' }),
  stands: choice('upright', { upright: 'Upright', leaning: 'Leaning' }, { label: 'Stands', hint: 'How.' }),
});
const THINGS = kinds({ kind: 'lamp', label: 'Lamp', form: LAMP }, { kind: 'post', label: 'Post', form: POST });
const PLACE = form({
  x: animated(0, { label: 'X', hint: 'Metres.' }),
  named: layerRef({ label: 'On', hint: 'What.' }),
});
const QUAY = form({
  name: stored(z.string()),
  things: listOf(THINGS, 3, (thing) => (thing as { id: string }).id),
  middle: shownPart(PLACE, { x: 4 }, { label: 'Middle', hint: 'Where.' }),
  end: part(PLACE, {}),
  places: list(PLACE, 2),
});
type Quay = ValueOf<typeof QUAY>;

const quay = (more: object = {}): Quay =>
  QUAY.schema.parse({
    name: 'Quay',
    things: [
      { kind: 'lamp', id: 'a' },
      { kind: 'post', id: 'b' },
    ],
    ...more,
  });

describe('a form', () => {
  it('gives what is left out, each document its own, and keeps what it does not know', () => {
    const lamp = LAMP.schema.parse({ kind: 'lamp', id: 'a', odd: 7 });
    expect(lamp).toEqual({ id: 'a', kind: 'lamp', lit: true, colour: '#ffcc88', light: 2, odd: 7 });
    const shades = form({ shades: gradient(['#000000', '#ffffff'], { label: 'Shades', hint: 'Colours.' }) });
    const [a, b] = [shades.schema.parse({}), shades.schema.parse({})];
    expect(a.shades).toEqual(b.shades);
    expect(a.shades).not.toBe(b.shades);
  });

  it('refuses what is out of range, in words', () => {
    const words = (value: object): string[] => LAMP.schema.safeParse(value).error?.issues.map((i) => i.message) ?? [];
    expect(words({ kind: 'lamp', id: 'a', light: 11 })).toEqual(['must be between 0 and 10']);
    const swing = { law: 'swing', middle: 1, reach: 2, cycles: 1, wave: 'sine', shift: 0 };
    expect(words({ kind: 'lamp', id: 'a', light: swing })).toEqual(['must be between 0 and 10']);
    expect(words({ kind: 'lamp', id: 'a', colour: 'red' })).toEqual(['must be a colour like #12566a']);
  });

  it('has headings by rank, then in the order of its fields', () => {
    expect(headingsOf(LAMP).map(({ label }) => label)).toEqual(['First', 'Last']);
  });

  it('shows a field where all its conditions hold', () => {
    const { control } = LAMP.fields.colour;
    expect(isShown(control, { lit: true })).toBe(true);
    expect(isShown(control, { lit: false })).toBe(false);
    const more = shownIf(LAMP.fields, { field: 'kind', is: ['lamp'] });
    expect(isShown(more.colour.control, { lit: true, kind: 'post' })).toBe(false);
    expect(isShown(null, {})).toBe(true);
  });

  it('cannot be made with a condition that can never hold', () => {
    const odd = (when: { field: string; is: unknown[] }) => () =>
      form({ ...POST.fields, more: flag(false, { label: 'More', hint: 'More.', when }) });
    expect(odd({ field: 'hight', is: [3] })).toThrow('more is shown by hight, which is not there');
    expect(odd({ field: 'stands', is: ['lying'] })).toThrow('more is shown where stands is lying, which it never is');
    expect(odd({ field: 'stands', is: ['leaning'] })).not.toThrow();
  });

  it('takes fields hidden, left out, or three at a time', () => {
    expect(Object.values(unshown(POST.fields)).every(({ control }) => control === null)).toBe(true);
    expect(Object.keys(without(POST.fields, 'height'))).toEqual(['id', 'kind', 'stands']);
    const moved = form(vectorFields('move', 0, { labels: ['X', 'Y', 'Z'], min: -1, max: 1, hint: 'Metres.' }));
    expect(moved.schema.parse(three('move', 0.5))).toEqual({ moveX: 0.5, moveY: 0.5, moveZ: 0.5 });
    const life = profile([0, 1, 2, 3, 4, 5, 6, 7], { label: 'Life', hint: 'Of it.' });
    expect(profileHalves(life.initial ?? [])).toEqual([
      [0, 1, 2, 3],
      [4, 5, 6, 7],
    ]);
    expect(integer(3, { label: 'N', hint: 'N.' }).schema.safeParse(2.5).success).toBe(false);
  });
});

describe('kinds', () => {
  it('tell their things apart, and know no others', () => {
    expect(THINGS.names).toEqual(['lamp', 'post']);
    expect(THINGS.schema.parse({ kind: 'post', id: 'p' })).toMatchObject({ height: 3 });
    expect(THINGS.schema.safeParse({ kind: 'mast', id: 'p' }).success).toBe(false);
    expect(THINGS.of('lamp').label).toBe('Lamp');
    expect(() => THINGS.of('mast')).toThrow('there is no kind "mast" among lamp, post');
  });
});

describe('the walk', () => {
  const whole = quay({ places: [{ odd: 1 }], end: { x: { law: 'wound', start: 0, perLap: 1 } }, extra: true });

  it('sees every part once, in order, with where it is and what it is called', () => {
    expect([...partsOf(QUAY, whole)].map(({ path, words }) => [path.join('.'), words.join(' / ')])).toEqual([
      ['', ''],
      ['things.0', 'a'],
      ['things.1', 'b'],
      ['middle', 'middle'],
      ['end', ''],
      ['places.0', ''],
    ]);
  });

  it('finds what is held, what changes, and what no form knows', () => {
    const parts = [...partsOf(QUAY, whole)];
    expect(parts.flatMap(unknownIn).map(({ path }) => path.join('.'))).toEqual(['extra', 'places.0.odd']);
    expect(parts.flatMap(animatedIn).map(({ path }) => path.join('.'))).toEqual([
      'things.0.light',
      'middle.x',
      'end.x',
      'places.0.x',
    ]);
    expect(heldBy(parts[0]).map(({ name }) => name)).toEqual(['name']);
  });

  it('changes some parts and shares all others', () => {
    const next = withParts(QUAY, whole, (of) => ('height' in of.value ? { ...of.value, height: 9 } : of.value));
    expect(next.things[1]).toMatchObject({ height: 9 });
    expect(next.things[0]).toBe(whole.things[0]);
    expect(next.middle).toBe(whole.middle);
    expect(next.places).toBe(whole.places);
    expect(withParts(QUAY, whole, (of) => of.value)).toBe(whole);
  });
});

import { placement } from '../../elements/place/form';
import { animated, choice, form, gradient, heading, integer, number, tag, type ValueOf, shownIf } from '../../forms';
import { layerBase, layerSeed } from '../base';
import { matterFields } from '../../matter/kinds';

const shape = heading('Backdrop');
const sky = heading('Sky');
const stars = heading('Stars');
const dome = { field: 'form', is: ['dome'] };
const studio = { field: 'form', is: ['sweep'] };

export const BackdropForm = form({
  ...layerBase,
  kind: tag('backdrop'),
  form: choice(
    'dome',
    { dome: 'Sky dome', sweep: 'Studio sweep' },
    { label: 'Form', group: shape, hint: 'A sky at any distance, or a floor that bends up into a wall.' },
  ),
  gradient: gradient(['#05070c', '#0d1420', '#31506b', '#d98f5a', '#31506b', '#0d1420', '#070b14'], {
    label: 'Gradient',
    group: sky,
    hint: 'Of a dome, from straight below to straight above: its middle is the horizon. Of a sweep, its colour is the middle.',
  }),
  light: animated(0.6, {
    label: 'Light',
    unit: '×',
    min: 0,
    max: 1000,
    comfort: 2,
    group: sky,
    when: dome,
    hint: 'Brightness of the sky.',
  }),
  tight: number(2.5, {
    label: 'To the horizon',
    min: 0.2,
    max: 20,
    comfort: 8,
    group: sky,
    when: dome,
    hint: 'How closely the colours are gathered about the horizon.',
  }),
  clouds: number(0.25, {
    label: 'Bands',
    min: 0,
    max: 1,
    group: sky,
    when: dome,
    hint: 'Long clouds that break up the colours.',
  }),
  cloudCycles: integer(1, {
    label: 'Bands move',
    perLap: true,
    unit: 'cycles per lap',
    min: 1,
    max: 16,
    comfort: 4,
    group: sky,
    when: dome,
    hint: 'Whole cycles in a lap.',
  }),
  stars: number(0.3, { label: 'Stars', min: 0, max: 1, group: stars, when: dome, hint: 'How many.' }),
  starLight: number(1, {
    label: 'Star light',
    unit: '×',
    min: 0,
    max: 100,
    comfort: 4,
    group: stars,
    when: dome,
    hint: 'Brightness of the stars.',
  }),
  twinkle: integer(6, {
    label: 'Twinkle',
    perLap: true,
    unit: 'per lap',
    min: 0,
    max: 256,
    comfort: 20,
    group: stars,
    when: dome,
    hint: 'Whole times a lap that a star brightens, at most; 0 for never.',
  }),
  size: number(12, {
    label: 'Width',
    unit: 'm',
    min: 0.1,
    max: 1000,
    comfort: 40,
    group: shape,
    when: studio,
    hint: 'Metres wide.',
  }),
  curve: number(0.2, {
    label: 'Bend',
    unit: '× width',
    min: 0.01,
    max: 0.45,
    group: shape,
    when: studio,
    hint: 'Radius of the bend between floor and wall.',
  }),
  ...shownIf({ ...matterFields(false, 'world'), ...placement }, studio),
  ...layerSeed,
});
export type BackdropLayer = ValueOf<typeof BackdropForm>;

import { choice, file, form, heading, integer, layerRef, number, tag, type ValueOf } from '../../forms';
import { SPECIES, type SpeciesName } from '../../plants/species';
import { layerBase, layerSeed } from '../base';
import { linesField } from '../../lines/lines';
import { matterFields } from '../../matter/kinds';
import { gradientField, placeByField, spreadField } from '../tint';

/** Bodies that may be scattered besides plants, standing on their foot. */
const STONES = { pebble: 'Pebble', post: 'Post', block: 'Block', cairn: 'Cone', model: 'A model' } as const;
export type SourceName = SpeciesName | keyof typeof STONES;

const SOURCES = {
  none: 'Nothing',
  ...Object.fromEntries(Object.entries(SPECIES).map(([name, { label }]) => [name, label])),
  ...STONES,
} as Record<SourceName | 'none', string>;

const PLACES = { chance: 'By chance', height: 'By height' };

const mix = heading('Sources');
const where = heading('Where');
const stand = heading('Stand');
const weight = (of: string) => ({
  label: 'Its share',
  min: 0,
  max: 100,
  comfort: 4,
  decimals: 2,
  group: mix,
  when: { field: of, is: Object.keys(SOURCES).filter((name) => name !== 'none') },
  hint: 'Its share, against those of the others.',
});
const modelOf = (of: string) => file('model', null, { ...ofModel, when: { field: of, is: ['model'] } });
const ofModel = {
  label: 'Its model',
  group: mix,
  hint: 'A model of your own or of the kit, as high as the layer says; its foot stands on the ground.',
};
const source = (initial: SourceName | 'none', label: string) =>
  choice(initial, SOURCES, { label, group: mix, hint: 'What is scattered.' });

export const PlantsForm = form({
  ...layerBase,
  kind: tag('plants'),
  source1: source('quayReed', 'First'),
  model1: modelOf('source1'),
  weight1: number(3, weight('source1')),
  source2: source('saltTussock', 'Second'),
  model2: modelOf('source2'),
  weight2: number(4, weight('source2')),
  source3: source('tideParasol', 'Third'),
  model3: modelOf('source3'),
  weight3: number(1, weight('source3')),
  source4: source('none', 'Fourth'),
  model4: modelOf('source4'),
  weight4: number(1, weight('source4')),
  source5: source('none', 'Fifth'),
  model5: modelOf('source5'),
  weight5: number(1, weight('source5')),
  size: number(0.7, {
    label: 'Height',
    unit: 'm',
    min: 0.005,
    max: 100,
    comfort: 3,
    decimals: 2,
    group: stand,
    hint: 'Metres high.',
  }),
  variation: number(0.6, {
    label: 'Variation',
    min: 0,
    max: 2,
    comfort: 1,
    group: stand,
    hint: '0: alike. 1: half to twice as high.',
  }),
  align: number(0.3, {
    label: 'With the slope',
    min: 0,
    max: 1,
    group: stand,
    hint: '0: upright. 1: square to the ground.',
  }),
  sway: number(0.02, {
    label: 'Sway',
    unit: 'turns',
    min: 0,
    max: 0.25,
    comfort: 0.08,
    decimals: 3,
    group: stand,
    hint: 'How far the wind leans them.',
  }),
  gust: number(3, {
    label: 'Gust size',
    unit: 'm',
    min: 0.1,
    max: 500,
    comfort: 12,
    group: stand,
    hint: 'Metres across a gust; fitted so that it tiles.',
  }),
  gustCycles: integer(2, {
    label: 'Gusts',
    perLap: true,
    unit: 'cycles per lap',
    min: 1,
    max: 64,
    comfort: 8,
    group: stand,
    hint: 'Most whole cycles of the wind in a lap.',
  }),
  ground: layerRef({
    label: 'Stands on',
    group: where,
    of: 'ground',
    none: 'A flat plane',
    hint: 'The ground they grow on.',
  }),
  count: integer(900, {
    label: 'Count',
    min: 1,
    max: 60_000,
    comfort: 4000,
    group: where,
    hint: 'Plants in a tile before the masks take some away.',
  }),
  width: number(16, {
    label: 'Width',
    drags: 'size',
    unit: 'm',
    min: 0.1,
    max: 1000,
    comfort: 40,
    group: where,
    hint: 'Of the strip they grow in.',
  }),
  aside: number(0, {
    label: 'Aside',
    drags: 'aside',
    unit: 'm',
    min: -1000,
    max: 1000,
    comfort: 10,
    group: where,
    hint: 'Metres to the right of the route.',
  }),
  distance: number(0.12, {
    label: 'At least apart',
    unit: 'm',
    min: 0,
    max: 100,
    comfort: 2,
    decimals: 2,
    group: where,
    hint: 'No two stand nearer than this.',
  }),
  path: number(0.5, {
    label: 'Path',
    unit: 'm',
    min: 0,
    max: 100,
    comfort: 3,
    group: where,
    hint: 'Metres to either side of the route that stay free.',
  }),
  clumps: number(0.6, {
    label: 'Clumps',
    min: 0,
    max: 1,
    group: where,
    hint: '0: evenly. 1: in clumps with gaps between.',
  }),
  clumpSize: number(2.5, {
    label: 'Clump size',
    unit: 'm',
    min: 0.1,
    max: 200,
    comfort: 10,
    group: where,
    hint: 'Metres across a clump.',
  }),
  slope: number(40, {
    label: 'Up to slope',
    unit: '°',
    min: 0,
    max: 90,
    comfort: 90,
    decimals: 0,
    group: where,
    hint: 'They grow where the ground is no steeper.',
  }),
  low: number(-100, {
    label: 'From height',
    unit: 'm',
    min: -10_000,
    max: 10_000,
    comfort: 10,
    group: where,
    hint: 'Metres of height they grow from.',
  }),
  high: number(100, {
    label: 'To height',
    unit: 'm',
    min: -10_000,
    max: 10_000,
    comfort: 10,
    group: where,
    hint: 'Metres of height they grow to.',
  }),
  gradient: gradientField(['#14201c', '#3f5a43', '#b79a5c']),
  placeBy: placeByField('chance', PLACES, 'a plant'),
  spread: spreadField(),
  ...matterFields(),
  lines: linesField(),
  ...layerSeed,
});
export type PlantsLayer = ValueOf<typeof PlantsForm>;

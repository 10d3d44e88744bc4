import { newMatter } from '../../matter/kinds';
import { ramp } from '../../forms';
import { stockFile } from '../../kept';
import type { Preset } from '../definition';
import type { PlantsLayer } from './form';

export const presets: readonly Preset<PlantsLayer>[] = [
  { label: 'Reed bank', fields: {} },
  {
    label: 'Umbels',
    fields: {
      source1: 'tideParasol',
      source2: 'twinParasol',
      source3: 'saltTussock',
      count: 400,
      size: 1.1,
      gradient: ramp('#1a211c', '#6b5a4a', '#e0b088'),
    },
  },
  {
    label: 'Fern hollow',
    fields: {
      source1: 'hookFern',
      source2: 'keelLeaf',
      source3: 'slipFan',
      weight3: 2,
      size: 0.6,
      gradient: ramp('#0c1a14', '#2f5a3a', '#8fb06a'),
    },
  },
  {
    label: 'Strange garden',
    fields: {
      source1: 'mastWhorl',
      weight1: 1,
      source2: 'stepDisc',
      weight2: 2,
      source3: 'moonCup',
      weight3: 3,
      source4: 'beaconStem',
      weight4: 2,
      source5: 'gullFeather',
      weight5: 1,
      size: 0.8,
      matter: newMatter('plain', { glowing: 0.15 }),
      gradient: ramp('#12304a', '#2f8f8a', '#d9f0c0'),
    },
  },
  {
    label: 'Grove',
    fields: {
      source1: 'harbourCrown',
      source2: 'spindleMast',
      weight2: 2,
      source3: 'veilTree',
      weight3: 1,
      count: 60,
      size: 3.2,
      variation: 0.5,
      distance: 1.2,
      path: 2,
      gradient: ramp('#0a1210', '#22352c', '#6f7f56'),
    },
  },
  {
    label: 'Stones and posts',
    fields: {
      source1: 'pebble',
      weight1: 5,
      source2: 'post',
      weight2: 1,
      source3: 'none',
      size: 0.3,
      variation: 1.2,
      sway: 0,
      count: 500,
      gradient: ramp('#22262a', '#565c60'),
    },
  },
  {
    label: 'Things of a quay',
    fields: {
      ...{ source1: 'model', model1: stockFile('Bollard'), weight1: 3 },
      ...{ source2: 'model', model2: stockFile('Capstan'), weight2: 1 },
      ...{ source3: 'model', model3: stockFile('Fairlead'), weight3: 2 },
      size: 0.6,
      variation: 0.2,
      sway: 0,
      count: 60,
      distance: 1.4,
      matter: newMatter('modelled'),
    },
  },
];

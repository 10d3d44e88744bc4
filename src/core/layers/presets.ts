import { newTreatment, type Treatment, type TreatmentKind } from '../treatments/registry';
import { LayerSchema, type Layer, type LayerKind } from './registry';

/** A start for a layer that looks good at once: fields that differ from the defaults, and treatments. */
interface Preset {
  label: string;
  fields: Record<string, unknown>;
  treatments?: ({ kind: TreatmentKind } & Record<string, unknown>)[];
}

const ramp = (...colours: string[]) =>
  colours.map((colour, i) => ({ at: colours.length > 1 ? i / (colours.length - 1) : 0, colour }));
const wound = (perLap: number) => ({ law: 'wound', start: 0, perLap });
/** The presets of every kind; the first is what Add gives. */
export const PRESETS: Record<LayerKind, readonly Preset[]> = {
  field: [
    { label: 'Drifting motes', fields: {}, treatments: [{ kind: 'drift', amount: 0.25 }] },
    {
      label: 'Star sheet',
      fields: {
        shape: 'grid',
        width: 24,
        height: 8,
        count: 20_000,
        jitter: 0.5,
        size: 0.005,
        light: 1.4,
        glint: 0.95,
        gradient: ramp('#0b1c3a', '#1f5c8c', '#8fd0ff', '#fff4df'),
      },
      treatments: [{ kind: 'drift', amount: 1.4, scale: 6, cycles: 1, octaves: 4 }],
    },
    {
      label: 'Lamps along the way',
      fields: {
        shape: 'corridor',
        width: 5,
        height: 5,
        hollow: 0.4,
        count: 900,
        size: 0.02,
        light: 5,
        gradient: ramp('#7a2f1a', '#f2b84b', '#fff1cf'),
      },
      treatments: [
        { kind: 'drift', amount: 0.12 },
        { kind: 'pulse', by: 'along', waves: 3, beats: 3, sharpness: 4 },
      ],
    },
    {
      label: 'Strand of light',
      fields: {
        shape: 'strand',
        width: 2.4,
        height: 2.4,
        count: 16_000,
        size: 0.003,
        light: 2,
        gradient: ramp('#5f1f7a', '#ff6f91', '#fff1cf'),
        placeBy: 'position',
      },
      treatments: [{ kind: 'drift', amount: 0.5, scale: 1.6, cycles: 2, octaves: 3 }],
    },
    {
      label: 'Salt crystals',
      fields: {
        sprite: 'picture',
        count: 700,
        size: 0.028,
        variation: 0.5,
        light: 0.9,
        glint: 0.6,
        gradient: ramp('#5f8fb0', '#cfe6f5', '#ffffff'),
      },
      treatments: [{ kind: 'drift', amount: 0.5, scale: 3, cycles: 2 }],
    },
    {
      label: 'Glittering ball',
      fields: {
        shape: 'shell',
        width: 3,
        height: 3,
        depth: 3,
        hollow: 0.85,
        count: 12_000,
        size: 0.004,
        glint: 1,
        light: 3,
      },
      treatments: [
        { kind: 'turn', axis: 'up', amount: wound(1) },
        { kind: 'pulse', by: 'chance', beats: 4, sharpness: 6, amount: 1 },
      ],
    },
  ],
  tunnel: [
    {
      label: 'Rope frames',
      fields: {},
      treatments: [{ kind: 'disorder', shiftX: 0.03, shiftY: 0.03, shiftZ: 0, turns: 0.004, spread: 0.03 }],
    },
    {
      label: 'Wire net',
      fields: { lines: 'net', section: 'circle', nested: 0, rings: 32, twist: 0, width: 0.006, light: 0.9 },
    },
    {
      label: 'Soft square with ribs',
      fields: { section: 'super', roundness: 5, wall: 'ribs', rings: 30, nested: 0, twist: 0, light: 0.8 },
    },
    {
      label: 'Growing rings',
      fields: { nested: 0.7, rings: 40 },
      treatments: [{ kind: 'stagger', by: 'along', overlap: 0.2, ease: 'over' }],
    },
    {
      label: 'Swaying tube',
      fields: { section: 'circle', nested: 0, wall: 'skin', lines: 'rings', rings: 48, twist: 0, wobble: 0.12 },
      treatments: [{ kind: 'bend', axis: 'along', amount: 8 }],
    },
    {
      label: 'Wandering gallery',
      fields: { route: 'onward', section: 'drawn', nested: 0, lines: 'net', rings: 28, twist: 0, width: 0.008 },
    },
    {
      label: 'Ring of frames',
      fields: { route: 'ring', ringRadius: 6, radius: 1.4, rings: 80, twist: 1, sides: 4, nested: 0.7 },
    },
    {
      label: 'Drawn circuit',
      fields: { route: 'closed', section: 'circle', nested: 0, lines: 'net', rings: 72, twist: 0, radius: 1.2 },
    },
  ],
  copies: [
    {
      label: 'Block of boxes',
      fields: { countX: 10, countY: 6, countZ: 3 },
      treatments: [{ kind: 'wave', amount: 0.12, swings: 'along', runs: 'rings', wavelength: 2, beats: 2 }],
    },
    {
      label: 'Assembling grid',
      fields: {
        countX: 12,
        countY: 7,
        countZ: 3,
        size: 0.28,
        step: 0.3,
        gradient: ramp('#9aa2a9', '#e9edf0', '#f7f9fa'),
      },
      treatments: [
        {
          kind: 'disorder',
          shiftX: 3,
          shiftY: 2,
          shiftZ: 5,
          turns: 0.3,
          spread: 1.5,
          amount: {
            law: 'keyed',
            keys: [
              { id: 'a', at: 0.06, value: 1, ease: [0.25, 0, 0.12, 1] },
              { id: 'b', at: 0.6, value: 0, ease: 'hold' },
              { id: 'c', at: 0.76, value: 0, ease: [0.5, 0, 0.55, 1] },
            ],
          },
        },
      ],
    },
    {
      label: 'Living tunnel of frames',
      fields: {
        arrangement: 'line',
        fill: true,
        count: 20,
        source: 'frame',
        sides: 6,
        thickness: 0.06,
        size: 3.4,
        deep: 2,
        turnZ: 1 / 24,
        metal: 0.9,
        rough: 0.25,
        gradient: ramp('#2a2d31', '#5f6a78'),
      },
      treatments: [{ kind: 'turn', what: 'each', axis: 'along', amount: wound(1 / 6) }],
    },
    {
      label: 'Growing balls',
      fields: {
        source: 'sphere',
        detail: 5,
        arrangement: 'scatter',
        count: 90,
        box: 6,
        distance: 0.6,
        size: 0.5,
        variation: 1,
        metal: 0.5,
        rough: 0.3,
      },
      treatments: [
        { kind: 'stagger', by: 'chance', ease: 'over', overlap: 0.3 },
        { kind: 'drift', amount: 0.12 },
      ],
    },
    {
      label: 'Burst',
      fields: {
        source: 'icosahedron',
        arrangement: 'grid',
        countX: 1,
        countY: 1,
        countZ: 1,
        size: 2,
        metal: 0.85,
        rough: 0.2,
        gradient: ramp('#2b2b31', '#8a8f9a'),
      },
      treatments: [
        { kind: 'shatter', pieces: 60, away: 1.2 },
        { kind: 'turn', axis: 'up', amount: wound(1) },
      ],
    },
    {
      label: 'Spiral of rings',
      fields: {
        source: 'torus',
        detail: 5,
        thickness: 0.12,
        arrangement: 'spiral',
        count: 40,
        winds: 3,
        radius: 2,
        radiusEnd: 0.2,
        size: 0.5,
        glowing: 1.5,
        gradient: ramp('#7c4dff', '#ff7bd5', '#ffffff'),
        placeBy: 'order',
      },
      treatments: [{ kind: 'turn', axis: 'along', amount: wound(1) }],
    },
  ],
  links: [
    { label: 'Shell of lamps', fields: {}, treatments: [{ kind: 'turn', axis: 'up', amount: wound(1) }] },
    {
      label: 'Breathing net',
      fields: { form: 'ball', count: 900, width: 4, height: 4, depth: 4, most: 5, distance: 0.6 },
      treatments: [{ kind: 'drift', amount: 0.4, scale: 2, cycles: 2 }],
    },
    {
      label: 'Lattice',
      fields: {
        form: 'grid',
        slices: 9,
        stacks: 6,
        rowsDeep: 9,
        width: 5,
        height: 3.2,
        depth: 5,
        jitter: 0,
        most: 6,
        distance: 0.75,
        linkGradient: ramp('#0c4a5c', '#5fe3c0', '#e9fff6'),
      },
      treatments: [{ kind: 'wave', amount: 0.25, wavelength: 3 }],
    },
    {
      label: 'Endless web',
      fields: {
        form: 'box',
        count: 1400,
        width: 7,
        height: 5,
        depth: 8,
        wraps: true,
        most: 4,
        distance: 0.8,
        size: 0.006,
      },
      treatments: [{ kind: 'drift', amount: 0.3 }],
    },
  ],
  stream: [
    {
      label: 'Sparks',
      fields: { form: 'disc', rate: 160, life: 3, speed: 1.6, spread: 0.35, gravity: 0.5, size: 0.006, light: 5 },
    },
    {
      label: 'Falling salt',
      fields: {
        form: 'box',
        width: 6,
        height: 0.4,
        depth: 6,
        above: 2.6,
        sent: 'down',
        rate: 45,
        life: 8,
        speed: 0.45,
        spread: 0.1,
        drag: 0.2,
        gravity: 0.12,
        turbulence: 0.7,
        sprite: 'picture',
        size: 0.04,
        variation: 0.7,
        light: 0.9,
        lightLife: [0, 0.9, 1, 1, 1, 0.9, 0.5, 0],
        gradient: ramp('#cfe6f5', '#ffffff', '#8fb4cf'),
      },
    },
    {
      label: 'Slow dust',
      fields: {
        form: 'box',
        width: 5,
        height: 3,
        depth: 5,
        rate: 25,
        life: 5,
        speed: 0.05,
        spread: 1,
        windX: 0.15,
        size: 0.008,
        variation: 0.4,
        light: 2,
        gradient: ramp('#c9a35a', '#fff1cf', '#c9a35a'),
      },
    },
    {
      label: 'Bubbles',
      fields: {
        form: 'plane',
        width: 4,
        depth: 4,
        stated: 'alive',
        alive: 120,
        life: 8,
        early: 0.3,
        speed: 0.3,
        spread: 0.15,
        windY: 0.4,
        drag: 0.8,
        drawn: 'bodies',
        source: 'sphere',
        detail: 5,
        size: 0.09,
        variation: 1.4,
        film: 1,
        rough: 0.06,
        above: -2,
        gradient: ramp('#cfe8e0', '#ffffff'),
        placeBy: 'chance',
        sizeLife: [0, 0.7, 0.95, 1, 1, 1, 1, 1.05],
      },
    },
    {
      label: 'Comet on its round',
      fields: {
        form: 'ball',
        width: 0.1,
        height: 0.1,
        depth: 0.1,
        circle: 2,
        circleTurns: 1,
        rate: 400,
        life: 2.5,
        speed: 0.15,
        spread: 1,
        drag: 2.5,
        groups: 3,
        size: 0.007,
        light: 4,
        turbulence: 0.4,
      },
    },
    {
      label: 'Smoking body',
      fields: {
        form: 'surface',
        source: 'icosahedron',
        width: 1.6,
        height: 1.6,
        depth: 1.6,
        sent: 'outward',
        rate: 500,
        life: 3,
        speed: 0.25,
        turbulence: 0.8,
        windY: 0.3,
        size: 0.005,
        light: 1.6,
        gradient: ramp('#dfeaff', '#7aa6ff', '#1a2a55'),
      },
    },
  ],
  ground: [
    { label: 'Soft hills', fields: {} },
    { label: 'Sharp ridges', fields: { form: 'ridged', relief: 2.6, feature: 8, octaves: 5, valley: 2 } },
    {
      label: 'Still water',
      fields: { surface: 'water', above: -1.1, rough: 0.06, metal: 0.85, gradient: ramp('#5f7480') },
    },
    {
      label: 'Dunes',
      fields: {
        relief: 1.2,
        feature: 7,
        octaves: 2,
        valley: 1,
        rough: 0.9,
        gradient: ramp('#2a2018', '#8a6a44', '#d9b380'),
      },
    },
  ],
  plants: [
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
        glowing: 0.15,
        gradient: ramp('#12304a', '#2f8f8a', '#d9f0c0'),
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
  ],
  backdrop: [
    { label: 'Dusk', fields: {} },
    {
      label: 'Night',
      fields: { gradient: ramp('#020409', '#0a1524', '#050b16', '#02040a'), stars: 0.6, clouds: 0.1, light: 0.8 },
    },
    {
      label: 'Cold dawn',
      fields: {
        gradient: ramp('#06090d', '#141d28', '#7f9db0', '#c9d8dc', '#5f7f9a', '#1f3448', '#0c1826'),
        stars: 0.05,
        light: 0.7,
      },
    },
    {
      label: 'Studio sweep',
      fields: { form: 'sweep', once: true, size: 14, ahead: 6, above: 1.4, gradient: ramp('#3a3d42'), rough: 0.8 },
    },
  ],
};

/** A layer as a preset makes it. Its identity, name and seed are kept when one is given to start from. */
export function presetLayer(kind: LayerKind, index: number, base: { id: string; name: string; seed: number }): Layer {
  const { fields, treatments = [] } = PRESETS[kind][index];
  const list = treatments.map(({ kind: treatment, ...more }, i): Treatment => {
    return { ...newTreatment(treatment, `${treatment}-${i + 1}`, base.seed + i), ...more } as unknown as Treatment;
  });
  return LayerSchema.parse({ kind, ...base, ...spreadVectors(fields), treatments: list });
}

/** `step: 0.3` stands for stepX, stepY and stepZ. */
const VECTORS = new Set(['step', 'box', 'move', 'turn']);
const spreadVectors = (fields: Record<string, unknown>): Record<string, unknown> =>
  Object.fromEntries(
    Object.entries(fields).flatMap(([name, value]) =>
      VECTORS.has(name) ? ['X', 'Y', 'Z'].map((axis) => [name + axis, value]) : [[name, value]],
    ),
  );

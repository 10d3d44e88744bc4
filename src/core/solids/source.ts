import type { Axis } from '../elements/axis';
import { choice, FRAMES, heading, integer, number, outline, valueAt, type FieldsValue } from '../forms';
import { memo } from '../memo';
import type { Vec3 } from '../space/vector';
import { box } from './box';
import { extrude, plane, regularOutline, type Outline } from './extrude';
import { capsule, cone, cylinder, sphere, torus } from './lathe';
import { stretched, type Mesh } from './mesh';
import { broken } from './pieces';
import { platonic } from './platonic';

export const SOURCES = {
  box: 'Box',
  sphere: 'Ball',
  capsule: 'Capsule',
  cylinder: 'Cylinder',
  cone: 'Cone',
  torus: 'Ring',
  prism: 'Prism',
  frame: 'Frame',
  tetrahedron: 'Tetrahedron',
  octahedron: 'Octahedron',
  icosahedron: 'Icosahedron',
  dodecahedron: 'Dodecahedron',
  plane: 'Plane',
  outline: 'Drawn outline',
} as const;
export type SourceName = keyof typeof SOURCES;

const group = heading('Source');
const proportion = { unit: '× size', min: 0.001, max: 1000, comfort: 2, group };
const turned = ['sphere', 'capsule', 'cylinder', 'cone', 'torus', 'box', 'frame'];

/** What is repeated, and what it is exchanged for between two frames. */
export const sourceFields = {
  source: choice('box', SOURCES, { label: 'Body', group, hint: 'What is repeated.' }),
  outline: outline(
    [
      [0, 0.5],
      [0.14, 0.14],
      [0.5, 0],
      [0.14, -0.14],
      [0, -0.5],
      [-0.14, -0.14],
      [-0.5, 0],
      [-0.14, 0.14],
    ],
    {
      label: 'Outline',
      group,
      when: { field: 'source', is: ['outline'] },
      hint: 'Points of the outline that is given depth: drag them, double-click to add one or take one away.',
    },
  ),
  sides: integer(6, {
    label: 'Sides',
    min: 3,
    max: 64,
    comfort: 12,
    group,
    when: { field: 'source', is: ['prism', 'frame'] },
    hint: 'Corners of the prism or frame.',
  }),
  bevel: number(0.06, {
    label: 'Bevel',
    unit: '× size',
    min: 0,
    max: 0.5,
    group,
    when: { field: 'source', is: ['box'] },
    hint: 'Radius of its rounded edges.',
  }),
  thickness: number(0.18, {
    label: 'Thickness',
    unit: '× size',
    min: 0.005,
    max: 0.5,
    group,
    when: { field: 'source', is: ['torus', 'capsule', 'frame'] },
    hint: 'Of the ring or the bars of a frame; width of a capsule.',
  }),
  detail: integer(3, {
    label: 'Detail',
    min: 1,
    max: 12,
    comfort: 8,
    group,
    when: { field: 'source', is: turned },
    hint: 'Steps of the rounding: more is smoother and slower.',
  }),
  size: number(0.3, {
    label: 'Size',
    unit: 'm',
    min: 0.0005,
    max: 1000,
    comfort: 3,
    group,
    hint: 'Metres across.',
  }),
  wide: number(1, { label: 'Width', ...proportion, hint: 'Width as a multiple of the size.' }),
  high: number(1, { label: 'Height', ...proportion, hint: 'Height as a multiple of the size.' }),
  deep: number(1, { label: 'Depth', ...proportion, hint: 'Depth as a multiple of the size.' }),
  variation: number(0, {
    label: 'Size variation',
    min: 0,
    max: 3,
    comfort: 1,
    group,
    hint: '0: alike. 1: half to twice.',
  }),
  exchange: choice(
    'none',
    { none: 'Never', ...SOURCES },
    { label: 'Exchanged', group, hint: 'Another body in its place from one frame to another; all else stays.' },
  ),
  exchangeFrom: integer(60, {
    label: 'Shown from',
    ...FRAMES,
    min: 0,
    max: 100_000,
    comfort: 250,
    group,
    when: { field: 'exchange', is: Object.keys(SOURCES) },
    hint: 'First frame that shows the other body.',
  }),
  exchangeTo: integer(120, {
    label: 'Until',
    ...FRAMES,
    min: 0,
    max: 100_000,
    comfort: 250,
    group,
    when: { field: 'exchange', is: Object.keys(SOURCES) },
    hint: 'First frame that shows the first body again.',
  }),
};
export type Source = FieldsValue<typeof sourceFields>;

function plain(name: SourceName, s: Source): Mesh {
  const sides = s.detail * 8;
  switch (name) {
    case 'box':
      return box([s.wide / 2, s.high / 2, s.deep / 2], s.bevel, Math.min(6, s.detail));
    case 'sphere':
      return sphere(sides);
    case 'capsule':
      return capsule(s.thickness * 2, sides);
    case 'cylinder':
      return cylinder(sides);
    case 'cone':
      return cone(sides);
    case 'torus':
      return torus(s.thickness, sides);
    case 'prism':
      return extrude(regularOutline(s.sides), 1);
    case 'frame':
      return frame(s.sides, s.thickness);
    case 'plane':
      return plane();
    case 'outline':
      return extrude(s.outline as Outline, 0.3);
    default:
      return platonic(name);
  }
}

/** A regular polygon with a hole of its own form: the bars of a frame, standing upright, its opening towards +z. */
function frame(sides: number, thickness: number): Mesh {
  const outer = regularOutline(sides);
  const inner = outer.map(([x, y]): [number, number] => [x * (1 - thickness * 2), y * (1 - thickness * 2)]);
  // a bridge cut makes one outline of two
  const ring: [number, number][] = [...outer, outer[0], inner[0], ...[...inner].reverse()];
  return extrude(ring, thickness);
}

/** The fields of a source that the form of its mesh depends on, but for its size, as they are in a layer. */
export const sourceOf = (s: Source): unknown[] =>
  Object.keys(sourceFields)
    .filter((name) => name !== 'size' && name !== 'variation')
    .map((name) => valueAt(s, name));

/** What a mesh of this source depends on. */
const keyOf = (name: SourceName, s: Source, pieces: number, seed: number): string =>
  JSON.stringify([name, s.outline, s.sides, s.bevel, s.thickness, s.detail, s.wide, s.high, s.deep, pieces, seed]);

const made = memo<Mesh>(40);

/**
 * The mesh of a source, one size across before its proportions.
 * @param pieces it is broken into; 0 leaves it whole
 */
export const sourceMesh = (name: SourceName, s: Source, pieces: number, seed: number): Mesh =>
  made(keyOf(name, s, pieces, seed), () => {
    // a box is made with its proportions, so that its bevel stays round
    const whole = name === 'box' ? plain(name, s) : stretched(plain(name, s), [s.wide, s.high, s.deep]);
    return pieces > 1 ? broken(whole, pieces, seed) : whole;
  });

/** Turns about an axis of its own after which a body looks the same. */
export function sourceTurnStep(name: SourceName, s: Source, axis: Axis): number {
  const proportions: Record<Axis, Vec3> = {
    along: [s.wide, s.high, s.deep],
    up: [s.wide, s.deep, s.high],
    aside: [s.high, s.deep, s.wide],
  };
  const round = proportions[axis][0] === proportions[axis][1];
  const about = (step: number): number => (round ? step : step <= 0.5 && Math.round(1 / step) % 2 === 0 ? 0.5 : 1);
  const sides = s.detail * 8;
  switch (name) {
    case 'box':
    case 'octahedron':
      return round ? 1 / 4 : 1 / 2;
    case 'sphere':
      return axis === 'up' ? about(1 / sides) : 1 / 2;
    case 'capsule':
    case 'cylinder':
    case 'torus':
      return axis === 'up' ? about(1 / sides) : 1 / 2;
    case 'cone':
      return axis === 'up' ? about(1 / sides) : 1;
    case 'prism':
      return axis === 'along' ? about(1 / s.sides) : axis === 'up' || s.sides % 2 === 0 ? 1 / 2 : 1;
    case 'frame':
      return axis === 'along' ? about(1 / s.sides) : axis === 'up' || s.sides % 2 === 0 ? 1 / 2 : 1;
    case 'tetrahedron':
    case 'icosahedron':
    case 'dodecahedron':
      return 1 / 2;
    case 'plane':
      return axis === 'along' ? (round ? 1 / 4 : 1 / 2) : 1;
    case 'outline':
      return 1;
  }
}

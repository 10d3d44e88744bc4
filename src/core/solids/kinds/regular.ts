import { platonic } from '../platonic';
import { isRound, type Solid } from '../solid';

const HALF = (): number => 1 / 2;

export const tetrahedron = {
  kind: 'tetrahedron',
  label: 'Tetrahedron',
  uses: [],
  mesh: () => platonic('tetrahedron'),
  turnStep: HALF,
} as const satisfies Solid;

export const octahedron = {
  kind: 'octahedron',
  label: 'Octahedron',
  uses: [],
  mesh: () => platonic('octahedron'),
  turnStep: (shape, axis) => (isRound(shape, axis) ? 1 / 4 : 1 / 2),
} as const satisfies Solid;

export const icosahedron = {
  kind: 'icosahedron',
  label: 'Icosahedron',
  uses: [],
  mesh: () => platonic('icosahedron'),
  turnStep: HALF,
} as const satisfies Solid;

export const dodecahedron = {
  kind: 'dodecahedron',
  label: 'Dodecahedron',
  uses: [],
  mesh: () => platonic('dodecahedron'),
  turnStep: HALF,
} as const satisfies Solid;

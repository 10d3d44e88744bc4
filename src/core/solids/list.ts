import { box } from './kinds/box';
import { capsule } from './kinds/capsule';
import { cone } from './kinds/cone';
import { cylinder } from './kinds/cylinder';
import { frame } from './kinds/frame';
import { model } from './kinds/model';
import { outline } from './kinds/outline';
import { plane } from './kinds/plane';
import { prism } from './kinds/prism';
import { dodecahedron, icosahedron, octahedron, tetrahedron } from './kinds/regular';
import { sphere } from './kinds/sphere';
import { torus } from './kinds/torus';

/** Every kind of solid, in the order they are offered. A new kind is a file of `kinds/` and its name here. */
export const LIST = [
  box,
  sphere,
  capsule,
  cylinder,
  cone,
  torus,
  prism,
  frame,
  tetrahedron,
  octahedron,
  icosahedron,
  dodecahedron,
  plane,
  outline,
  model,
] as const;

import { LIST } from './list';
import { stretched, type Mesh } from './mesh';
import type { Solid, SolidShape } from './solid';

export type SolidKind = (typeof LIST)[number]['kind'];

const SOLIDS: readonly Solid[] = LIST;

/** @throws RangeError for a solid there is not */
export function solidOf(kind: string): Solid {
  const found = SOLIDS.find((solid) => solid.kind === kind);
  if (!found) throw new RangeError(`there is no solid "${kind}"`);
  return found;
}

/** The mesh of a solid in its proportions, one unit to a size. */
export function solidMesh(kind: string, shape: SolidShape): Mesh {
  const { mesh, proportioned } = solidOf(kind);
  const plain = mesh(shape);
  return proportioned ? plain : stretched(plain, [shape.wide, shape.high, shape.deep]);
}

/** The words of each, for a choice among them. */
export const solidWords = Object.fromEntries(LIST.map(({ kind, label }) => [kind, label])) as Record<SolidKind, string>;

/** The kinds that a value means something for. */
export const solidsWith = (value: Solid['uses'][number]): string[] =>
  SOLIDS.filter(({ uses }) => uses.includes(value)).map(({ kind }) => kind);

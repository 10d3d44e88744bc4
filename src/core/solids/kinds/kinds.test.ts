import { describe, expect, it } from 'vitest';
import type { Axis } from '../../elements/axis';
import { form } from '../../forms';
import { fromAxis, rotate, type Vec3 } from '../../space/vector';
import { LIST } from '../list';
import { bodyOf, sourceFields, sourceMesh, sourceTurnStep } from '../source';

const AXES: Record<Axis, Vec3> = { along: [0, 0, 1], up: [0, 1, 0], aside: [1, 0, 0] };
const shape = (more: object = {}) => form(sourceFields).schema.parse(more);

/** The corners of a mesh, each as text. */
const corners = (position: ArrayLike<number>, turned: (p: Vec3) => Vec3 = (p) => p): Set<string> => {
  const out = new Set<string>();
  for (let i = 0; i < position.length; i += 3)
    // nudged off halves, where rounding would go either way
    out.add(
      turned([position[i], position[i + 1], position[i + 2]])
        .map((v) => Math.round(v * 2000 + 0.137))
        .join(),
    );
  return out;
};

/** How many corners of one are not corners of the other, either way. */
const apart = (a: Set<string>, b: Set<string>): number =>
  [...a].filter((c) => !b.has(c)).length + [...b].filter((c) => !a.has(c)).length;

describe.each(LIST.map(({ kind }) => [kind] as const))('%s', (kind) => {
  it.each([
    ['as wide as high and deep', {}],
    ['wider than deep', { wide: 1.3 }],
    ['higher', { high: 1.7 }],
  ])('%s: looks the same after its turn step', (_, proportions) => {
    const source = bodyOf(shape({ ...proportions, source: kind, sides: 5, bevel: 0 }));
    const { position } = sourceMesh(source);
    let tried = 0;
    for (const axis of ['along', 'up', 'aside'] as const) {
      const step = sourceTurnStep(source, axis);
      expect(step).toBeGreaterThan(0);
      if (step === 1) continue;
      const turn = fromAxis(AXES[axis], step * 2 * Math.PI);
      expect([
        axis,
        apart(
          corners(position),
          corners(position, (p) => rotate(turn, p)),
        ),
      ]).toEqual([axis, 0]);
      tried++;
    }
    // what looks the same after no turn but a whole one has none to try
    expect(tried > 0 || ['outline', 'cone', 'prism', 'frame', 'plane', 'model'].includes(kind)).toBe(true);
  });
});

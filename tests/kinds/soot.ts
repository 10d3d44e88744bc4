// A kind of matter that no one ships: it gives back no light, and shines faintly green.
import { form, number, tag, type ValueOf } from '../../src/core/forms';
import { MATTER_HEADING, type MatterDefinition } from '../../src/core/matter/definition';
import type { MatterProgram } from '../../src/engine/matter/program';

const SootForm = form({
  kind: tag('soot'),
  green: number(0.2, { label: 'Green', min: 0, max: 1, group: MATTER_HEADING, hint: 'How green it shines.' }),
});
export type Soot = ValueOf<typeof SootForm>;

export const soot: MatterDefinition<Soot> = {
  kind: 'soot',
  label: 'Soot',
  describe: 'Dark, and faintly green.',
  form: SootForm,
  values: ({ green }) => [green],
};

export const sootProgram: MatterProgram = {
  light: 'worked out',
  opaque: true,
  glsl: 'Matter matterOf(Body b) { return Matter(vec3(0.0, uMaterial[0].x, 0.0), 1.0, 0.0, 0.0, 1.0); }',
};

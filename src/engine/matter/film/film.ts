import { sources as optics } from '../../../core/matter/film/optics.gen';
import { RUN } from '../../../core/matter/pattern/definition';
import { sources as noise } from '../../../core/matter/pattern/pattern.gen';
import type { MatterProgram } from '../program';
import glsl from './film.glsl?raw';

// how far it is there follows from the light it gives back, so that is worked out at once
export const film: MatterProgram = {
  light: 'worked out',
  opaque: false,
  glsl: `const int STREAKS_RUN = ${RUN};\n${glsl}`,
  sources: { ...optics, ...noise },
};

import type { PatternKind } from '../../../core/matter/pattern/kinds';
import { sources as patternSources } from '../../../core/matter/pattern/pattern.gen';
import { cells } from './cells/cells';
import { flow } from './flow/flow';
import { picture } from './picture/picture';
import gluedSource from './glued.glsl?raw';
import coverGlsl from './pattern.glsl?raw';

/** How one kind of pattern looks: GLSL with `Pattern patternAt(…)`, see pattern.glsl. */
export interface PatternProgram {
  /** it is read from the noises of the core */
  noise: boolean;
  glsl: string;
}

/** The program of every kind of pattern: the compiler asks for one of each. */
const PROGRAMS = { cells, flow, picture } satisfies Record<Exclude<PatternKind, 'bare'>, PatternProgram>;

/** What the programs of what is covered are made for. */
export interface Cover {
  kind: PatternKind;
  lies: 'body' | 'world' | 'glued';
}

/** Where a pattern lies, as programs are told. */
const LYING = { body: '', world: '#define IN_WORLD\n', glued: '#define GLUED\n' };

/** Defined in both programs of what is covered. */
export const coverHead = ({ kind, lies }: Cover): string => (kind === 'bare' ? '' : `#define COVERED\n${LYING[lies]}`);

/** What covers something, for its fragments; behind matter/body.glsl. */
export const coverSource = ({ kind }: Cover): string => (kind === 'bare' ? '' : coverGlsl + PROGRAMS[kind].glsl);

/** What of the core that needs. */
export const coverSources = ({ kind }: Cover): Record<string, string> =>
  kind !== 'bare' && PROGRAMS[kind].noise ? patternSources : {};

/** What the vertices of what is covered need, in front of them. */
export const coverVertex = ({ kind, lies }: Cover): string => (kind !== 'bare' && lies === 'glued' ? gluedSource : '');

import { PROGRAMS as SHIPPED } from '../../../src/engine/effects/list';
import { invertProgram } from '../invert';

export const PROGRAMS = { ...SHIPPED, invert: invertProgram };

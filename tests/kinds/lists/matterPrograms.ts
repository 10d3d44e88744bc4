import { PROGRAMS as SHIPPED } from '../../../src/engine/matter/list';
import { sootProgram } from '../soot';

export const PROGRAMS = { ...SHIPPED, soot: sootProgram };

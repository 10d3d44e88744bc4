import { PROGRAMS as SHIPPED } from '../../../src/engine/lights/list';
import { emberProgram } from '../ember';

export const PROGRAMS = { ...SHIPPED, ember: emberProgram };

import { PUT_ON } from '../../../../core/matter/pattern/picture/picture';
import { constants } from '../../../gl/quad';
import type { PatternProgram } from '../program';
import glsl from './picture.glsl?raw';

export const picture: PatternProgram = { noise: false, glsl: constants('PUT_ON', PUT_ON) + glsl };

import { LIST as SHIPPED } from '../../../src/core/look/effects/list';
import { invert } from '../invert';

export const LIST = [...SHIPPED, invert];

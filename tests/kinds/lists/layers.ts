import { LIST as SHIPPED } from '../../../src/core/layers/list';
import { beads } from '../beads';

export const LIST = [...SHIPPED, beads];

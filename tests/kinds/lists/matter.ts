import { LIST as SHIPPED } from '../../../src/core/matter/list';
import { soot } from '../soot';

export const LIST = [...SHIPPED, soot];

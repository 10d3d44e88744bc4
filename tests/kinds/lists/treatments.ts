import { LIST as SHIPPED } from '../../../src/core/treatments/list';
import { hush } from '../hush';

export const LIST = [...SHIPPED, hush];

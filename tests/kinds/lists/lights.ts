import { LIST as SHIPPED } from '../../../src/core/look/lights/list';
import { ember } from '../ember';

export const LIST = [...SHIPPED, ember];

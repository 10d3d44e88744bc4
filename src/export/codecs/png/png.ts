import { apart } from '../pictures/pictures';

export const png = apart('png');

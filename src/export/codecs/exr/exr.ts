import { apart } from '../pictures/pictures';

export const exr = apart('exr');

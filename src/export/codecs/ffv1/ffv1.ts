import { machineFilm } from '../machine/machine';

export const ffv1 = machineFilm('ffv1');

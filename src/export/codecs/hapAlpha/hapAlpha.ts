import { machineFilm } from '../machine/machine';

export const hapAlpha = machineFilm('hapAlpha');

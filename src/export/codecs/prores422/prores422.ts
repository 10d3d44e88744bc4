import { machineFilm } from '../machine/machine';

export const prores422 = machineFilm('prores422');

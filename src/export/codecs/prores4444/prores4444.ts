import { machineFilm } from '../machine/machine';

export const prores4444 = machineFilm('prores4444');

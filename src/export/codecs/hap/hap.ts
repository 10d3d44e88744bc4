import { machineFilm } from '../machine/machine';

export const hap = machineFilm('hap');

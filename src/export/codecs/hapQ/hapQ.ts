import { machineFilm } from '../machine/machine';

export const hapQ = machineFilm('hapQ');

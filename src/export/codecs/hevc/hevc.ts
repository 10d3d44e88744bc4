import { machineFilm } from '../machine/machine';

export const hevc = machineFilm('hevc');

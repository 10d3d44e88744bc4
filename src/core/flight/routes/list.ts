import { along } from './along/along';
import { attached } from './attached/attached';
import { circuit } from './circuit/circuit';
import { keys } from './keys/keys';
import { orbit } from './orbit/orbit';
import { reading } from './reading/reading';
import { run } from './run/run';
import { stations } from './stations/stations';

/** Every kind of route, in the order they are offered. A new kind is a folder and its name here. */
export const LIST = [run, along, circuit, orbit, stations, keys, attached, reading] as const;

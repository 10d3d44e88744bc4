import { worldObj } from '../../../formats/scene/obj';
import { worldFiles } from '../scene/scene';

export const obj = worldFiles(({ world }) => Promise.resolve(worldObj(world ?? { layers: [], without: [] })));

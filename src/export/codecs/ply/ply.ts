import { pointsPly } from '../../../formats/scene/ply';
import { worldFiles } from '../scene/scene';

export const ply = worldFiles(({ world }) => Promise.resolve(pointsPly(world ?? { layers: [], without: [] })));

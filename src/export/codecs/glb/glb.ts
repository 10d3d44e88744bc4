import { worldGlb } from '../../../formats/scene/glb';
import { worldFiles } from '../scene/scene';

export const glb = worldFiles(({ world, camera, aspect }) =>
  worldGlb(world ?? { layers: [], without: [] }, camera, aspect),
);

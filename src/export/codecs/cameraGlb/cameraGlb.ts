import { cameraGlb as write } from '../../../formats/scene/glb';
import { cameraFile } from '../scene/scene';

export const cameraGlb = cameraFile(({ camera, aspect }) => write(camera, aspect));

import { cameraCsv as write } from '../../../formats/scene/csv';
import { cameraFile } from '../scene/scene';

export const cameraCsv = cameraFile(({ camera }, frames) => Promise.resolve(write(camera, frames)));

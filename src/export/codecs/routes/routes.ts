import { routesObj } from '../../../formats/scene/obj';
import { trackFile } from '../scene/scene';

export const routes = trackFile(
  () => 'the routes of layers and of the camera',
  ({ routes: ways }) => Promise.resolve(routesObj(ways)),
);

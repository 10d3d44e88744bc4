import { encodePng, pngSum } from '../pictures/encode';
import { numberedPictures } from '../pictures/pictures';

export const png = numberedPictures(encodePng, pngSum);

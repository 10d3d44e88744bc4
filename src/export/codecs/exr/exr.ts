import { encodeExr, exrSum } from '../pictures/encode';
import { numberedPictures } from '../pictures/pictures';

export const exr = numberedPictures(encodeExr, exrSum);

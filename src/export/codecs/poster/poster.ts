import type { ExportCodec } from '../codec';
import { encodePng, pngSum } from '../pictures/encode';
import { openPicture, verifyOne } from '../pictures/pictures';

export const poster: ExportCodec = {
  refusal: () => Promise.resolve(null),
  partFrames: () => 1,
  open: (settings) => openPicture(encodePng, settings),
  join: (_, parts) => parts.at(0),
  verify: (file, settings, [facts]) => verifyOne(file, settings, facts.sum, 'one picture', pngSum),
};

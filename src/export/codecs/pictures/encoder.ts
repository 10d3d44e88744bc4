import * as Comlink from 'comlink';
import { sayStarted } from '../../../engine/work/alive';
import { letTroublesCross } from '../../../engine/work/crossing';
import type { Picture } from '../../picture';
import type { Settings } from '../codec';
import { ENCODERS, type PictureFormat } from './encode';

/** Encodes pictures and reads them back, in a thread of its own. */
const api = {
  encode(format: PictureFormat, picture: Picture, settings: Pick<Settings, 'delivery' | 'rate'>) {
    const encoded = ENCODERS[format].encode(picture, settings);
    return Comlink.transfer(encoded, [encoded.bytes.buffer]);
  },
  sum: (format: PictureFormat, bytes: Uint8Array): number | null => ENCODERS[format].sum(bytes),
};

export type EncoderApi = typeof api;
letTroublesCross();
sayStarted(() => Comlink.expose(api));

import type { Delivery } from '../../core/deliveries/form';
import type { ExportCodec } from './codec';
import { pngSequence } from './pngSequence';
import { mp4, webm } from './video';

/** Every kind of file. A new one is a file of this folder and a line here. */
const codecs: Record<Delivery['format'], ExportCodec> = { mp4, webm, png: pngSequence };

export const codecOf = (format: Delivery['format']): ExportCodec => codecs[format];

import type { FormatKind } from '../../core/deliveries/formats';
import type { ExportCodec } from './codec';
import { CODECS } from './list';

/** The codec of a format. */
export const codecOf = (format: FormatKind): ExportCodec => CODECS[format];

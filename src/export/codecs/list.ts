import type { FormatKind } from '../../core/deliveries/formats';
import type { ExportCodec } from './codec';
import { pngSequence } from './pngSequence';
import { mp4, webm } from './video';

/** The codec of every format: the compiler asks for one of each. */
export const CODECS = { mp4, webm, png: pngSequence } satisfies Record<FormatKind, ExportCodec>;

import type { FormatKind } from '../../core/deliveries/formats';
import type { ExportCodec } from './codec';
import { mp4 } from './mp4/mp4';
import { png } from './png/png';
import { webm } from './webm/webm';

/** The codec of every format: the compiler asks for one of each. */
export const CODECS = { mp4, webm, png } satisfies Record<FormatKind, ExportCodec>;

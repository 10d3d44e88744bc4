import type { FormatKind } from '../../core/deliveries/formats';
import type { ExportCodec } from './codec';
import { exr } from './exr/exr';
import { gif } from './gif/gif';
import { mp4 } from './mp4/mp4';
import { mp4Av1 } from './mp4Av1/mp4Av1';
import { png } from './png/png';
import { poster } from './poster/poster';
import { sheet } from './sheet/sheet';
import { webm } from './webm/webm';
import { webmAv1 } from './webmAv1/webmAv1';
import { webp } from './webp/webp';

/** The codec of every format: the compiler asks for one of each. */
export const CODECS = { mp4, mp4Av1, webm, webmAv1, png, exr, gif, webp, poster, sheet } satisfies Record<
  FormatKind,
  ExportCodec
>;

import type { FormatKind } from '../../core/deliveries/formats';
import type { ExportCodec } from './codec';
import { glb } from './glb/glb';
import { obj } from './obj/obj';
import { ply } from './ply/ply';
import { cameraGlb } from './cameraGlb/cameraGlb';
import { cameraCsv } from './cameraCsv/cameraCsv';
import { exr } from './exr/exr';
import { ffv1 } from './ffv1/ffv1';
import { gif } from './gif/gif';
import { hap } from './hap/hap';
import { hapAlpha } from './hapAlpha/hapAlpha';
import { hapQ } from './hapQ/hapQ';
import { hevc } from './hevc/hevc';
import { mp4 } from './mp4/mp4';
import { mp4Av1 } from './mp4Av1/mp4Av1';
import { png } from './png/png';
import { poster } from './poster/poster';
import { prores422 } from './prores422/prores422';
import { prores4444 } from './prores4444/prores4444';
import { routes } from './routes/routes';
import { sheet } from './sheet/sheet';
import { webm } from './webm/webm';
import { webmAv1 } from './webmAv1/webmAv1';
import { webp } from './webp/webp';

/** The codec of every format: the compiler asks for one of each. */
export const CODECS = {
  ...{ mp4, mp4Av1, webm, webmAv1 },
  ...{ prores422, prores4444, hap, hapAlpha, hapQ, hevc, ffv1 },
  ...{ png, exr, gif, webp, poster, sheet },
  ...{ glb, obj, ply, cameraGlb, cameraCsv, routes },
} satisfies Record<FormatKind, ExportCodec>;

import { cameraCsv } from './cameraCsv/cameraCsv';
import { cameraGlb } from './cameraGlb/cameraGlb';
import { exr } from './exr/exr';
import { ffv1 } from './ffv1/ffv1';
import { gif } from './gif/gif';
import { glb } from './glb/glb';
import { hap } from './hap/hap';
import { hapAlpha } from './hapAlpha/hapAlpha';
import { hapQ } from './hapQ/hapQ';
import { hevc } from './hevc/hevc';
import { mp4 } from './mp4/mp4';
import { mp4Av1 } from './mp4Av1/mp4Av1';
import { obj } from './obj/obj';
import { ply } from './ply/ply';
import { png } from './png/png';
import { poster } from './poster/poster';
import { prores422 } from './prores422/prores422';
import { prores4444 } from './prores4444/prores4444';
import { routes } from './routes/routes';
import { sheet } from './sheet/sheet';
import { webm } from './webm/webm';
import { webmAv1 } from './webmAv1/webmAv1';
import { webp } from './webp/webp';

/** Every format, in the order they are offered. A new one is a folder and its name here, and its codec in export/codecs. */
export const LIST = [
  ...([mp4, mp4Av1, webm, webmAv1] as const),
  ...([prores422, prores4444, hap, hapAlpha, hapQ, hevc, ffv1] as const),
  ...([png, exr, gif, webp, poster, sheet] as const),
  ...([glb, obj, ply, cameraGlb, cameraCsv, routes] as const),
] as const;

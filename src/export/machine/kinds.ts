import type { Delivery } from '../../core/deliveries/form';
import type { Rate } from '../../core/time/lap';

// Codecs of the machine's own ffmpeg, as its page and its server both know them.

/** The words that a session is begun with. */
export interface MachineAsk {
  kind: MachineKind;
  width: number;
  height: number;
  rate: Rate;
  alpha: Delivery['alpha'];
  quality: Delivery['rate'];
  megabits: number;
  /** 1 … 100 where `quality` says that it counts */
  filmQuality: number;
}

interface MachineCodec {
  /** as ffmpeg calls it */
  encoder: string;
  /** as people call it */
  name: string;
  /** how frames come */
  pixels: 'rgba' | 'rgb48le' | 'rgba64le';
  /** what holds the parts, which are put together without being encoded again */
  holder: 'mov' | 'mp4' | 'matroska';
  /** sizes must be multiples of so many pixels */
  step: number;
  args(ask: MachineAsk): string[];
}

/** From full-range RGB to the planes of a codec, by ITU-R BT.709 in limited range, and tagged so. */
const toPlanes = (format: string): string[] => [
  '-vf',
  `scale=in_range=pc:out_range=tv:out_color_matrix=bt709:flags=accurate_rnd+full_chroma_int+full_chroma_inp+bicubic,format=${format},setparams=range=tv:color_primaries=bt709:color_trc=bt709:colorspace=bt709`,
  ...['-color_range', 'tv', '-colorspace', 'bt709', '-color_primaries', 'bt709', '-color_trc', 'bt709'],
];

/** Constant quality of H.265 for the words of a data rate. Common practice, no published source. */
const CRF = { proof: 26, high: 18, master: 12 } as const;

/** Of a quality 1 … 100: 75 is that of the high data rate. */
const crfFor = (quality: number): number => Math.round(CRF.high + (75 - quality) * 0.32);

const hevcRate = ({ quality, megabits, filmQuality }: MachineAsk): string[] =>
  quality === 'own'
    ? ['-b:v', `${Math.round(megabits * 1000)}k`]
    : ['-crf', String(quality === 'quality' ? crfFor(filmQuality) : CRF[quality])];

const hap = (name: string, format: string): MachineCodec => ({
  ...{ encoder: 'hap', name, pixels: 'rgba', holder: 'mov', step: 4 },
  args: () => ['-format', format, '-chunks', '4', '-compressor', 'snappy'],
});

const prores = (name: string, profile: string): MachineCodec => ({
  ...{ encoder: 'prores_ks', name, holder: 'mov', step: 2 },
  pixels: profile === '4444' ? 'rgba64le' : 'rgb48le',
  args: ({ alpha }) => [
    ...['-profile:v', profile, '-vendor', 'apl0'],
    ...(profile === '4444' && alpha !== 'none' ? ['-alpha_bits', '16'] : []),
    ...toPlanes(profile === '4444' ? (alpha !== 'none' ? 'yuva444p10le' : 'yuv444p10le') : 'yuv422p10le'),
  ],
});

export const MACHINE = {
  prores422: prores('ProRes 422 HQ', 'hq'),
  prores4444: prores('ProRes 4444', '4444'),
  hap: hap('HAP', 'hap'),
  hapAlpha: hap('HAP Alpha', 'hap_alpha'),
  hapQ: hap('HAP Q', 'hap_q'),
  hevc: {
    ...{ encoder: 'libx265', name: 'H.265', pixels: 'rgb48le', holder: 'mp4', step: 2 },
    args: (ask) => [
      ...hevcRate(ask),
      // the same on every machine: not by how many threads it has
      ...[
        '-preset',
        'medium',
        '-tag:v',
        'hvc1',
        '-x265-params',
        'log-level=error:frame-threads=1:pools=none:bframes=0',
      ],
      ...toPlanes('yuv420p10le'),
    ],
  },
  ffv1: {
    ...{ encoder: 'ffv1', name: 'FFV1', pixels: 'rgba64le', holder: 'matroska', step: 1 },
    args: ({ alpha }) => [
      '-level',
      '3',
      '-g',
      '1',
      '-slicecrc',
      '1',
      '-slices',
      '4',
      '-pix_fmt',
      alpha !== 'none' ? 'gbrap16le' : 'gbrp16le',
    ],
  },
} as const satisfies Record<string, MachineCodec>;
export type MachineKind = keyof typeof MACHINE;

export const isMachineKind = (kind: string): kind is MachineKind => Object.hasOwn(MACHINE, kind);

/** Samples of a pixel as they are sent, and bits of each. */
export const SENT: Readonly<Record<MachineCodec['pixels'], { channels: 3 | 4; bits: 8 | 16 }>> = {
  rgba: { channels: 4, bits: 8 },
  rgb48le: { channels: 3, bits: 16 },
  rgba64le: { channels: 4, bits: 16 },
};

/** What the server has found out about its ffmpeg. */
export interface MachineState {
  /** its version, or null where there is none */
  version: string | null;
  encoders: readonly string[];
}

/** What the server found when it decoded what it had put together. */
export interface MachineLook {
  frames: number;
  seconds: number;
  width: number;
  height: number;
  codec: string;
  /** of every frame the mean red, green and blue of each cell of a grid, in code values of 8 bits, as base64 */
  cells: string;
}

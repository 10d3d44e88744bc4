/** The facts of a file format; how it is written and read back is its codec's, in export/codecs. */
export interface FormatInfo {
  kind: string;
  /** as the choice is worded, and in a few letters */
  label: string;
  short: string;
  /** of the file that is saved, with its dot */
  extension: string;
  mime: string;
  /** all frames in a file that plays them, numbered pictures, one frame, some of them side by side, or a track of something at every frame */
  holds: 'film' | 'pictures' | 'picture' | 'sheet' | 'track';
  /** of each of numbered pictures, with its dot */
  each: string | null;
  /** what its codec is given: code values of 8 bits; those or finer ones, as the delivery says; numbers; or no picture, but the world as it stands, the camera, or the routes */
  takes: { pixels: 'bytes' | 'either' | 'numbers' | 'world' | 'camera' | 'routes'; alpha: boolean; channels: boolean };
  /** a data rate decides how many bits are spent on a frame */
  rated: boolean;
  /** bits of a sample, where all of its files have the same */
  depth: 8 | 10 | 16 | null;
  /** it can hold ten bits a sample */
  tenBits: boolean;
  /** it can hold a sound */
  sounds: boolean;
  /** it is small by leaving frames out */
  thins: boolean;
}

/** What most formats are. */
export const PLAIN = {
  takes: { pixels: 'bytes', alpha: false, channels: false },
  each: null,
  rated: false,
  depth: null,
  tenBits: false,
  sounds: false,
  thins: false,
} as const satisfies Partial<FormatInfo>;

/** What films are that the machine's ffmpeg encodes. */
export const MACHINE_FILM = {
  ...PLAIN,
  holds: 'film',
  takes: { pixels: 'either', alpha: false, channels: false },
} as const satisfies Partial<FormatInfo>;

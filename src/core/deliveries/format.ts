/** The facts of a file format; how it is written and read back is its codec's, in export/codecs. */
export interface FormatInfo {
  kind: string;
  /** as the choice is worded, and in a few letters */
  label: string;
  short: string;
  /** with its dot */
  extension: string;
  mime: string;
  /** what its codec is given */
  takes: { pixels: 'srgb8'; alpha: boolean };
  /** a data rate decides how many bits are spent on a frame */
  rated: boolean;
}

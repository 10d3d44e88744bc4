// gifenc 1.0.3 brings no types of its own; these are of what is used.
declare module 'gifenc' {
  export type Palette = number[][];
  export interface Encoder {
    writeHeader(): void;
    writeFrame(
      index: Uint8Array,
      width: number,
      height: number,
      options: { palette: Palette; delay: number; first?: boolean; repeat?: number },
    ): void;
    finish(): void;
    bytes(): Uint8Array<ArrayBuffer>;
  }
  export function GIFEncoder(options: { auto: boolean }): Encoder;
  export function quantize(rgba: Uint8Array, colours: number, options?: { format?: 'rgb565' | 'rgb444' }): Palette;
  export function applyPalette(rgba: Uint8Array, palette: Palette, format?: 'rgb565' | 'rgb444'): Uint8Array;
}

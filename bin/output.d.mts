export class UsageError extends Error {}
export type Format = 'mp4' | 'webm' | 'png';
export function readFormat(format: string | undefined, out: string): Format;
export interface Output {
  folder: boolean;
  file(data: Uint8Array): void;
  files(entries: [string, Uint8Array][]): void;
  release(): void;
}
export function takeOutput(out: string, format: Format, bytes: number): Output;
export function expectedBytes(
  format: Format,
  frames: { width: number; height: number; first: number; last: number },
): number;

import type { FileRef } from '../core/kept';
import type { Raster } from '../core/pictures/raster';
import { fileBlob } from './shelf';

/** A picture or a clip that is open, for as long as its worker runs. */
export interface OpenFile {
  /** its frames from one on, in order, until the caller has enough; of a picture the one there is */
  from(frame: number): AsyncGenerator<[number, Raster]>;
  close(): Promise<void>;
}

/** Opens a kept picture or clip; null when it is nowhere. @throws Trouble when it cannot be read */
export async function openFile(ref: FileRef, kind: 'picture' | 'clip'): Promise<OpenFile | null> {
  const blob = await fileBlob(ref);
  if (!blob) return null;
  if (kind === 'clip') {
    const { Clip } = await import('../formats/clip/clip');
    return Clip.open(blob, ref.name);
  }
  const [{ pictureFacts }, { picturePixels }] = await Promise.all([
    import('../formats/picture/facts'),
    import('../formats/picture/pixels'),
  ]);
  const bytes = new Uint8Array(await blob.arrayBuffer());
  return {
    async *from() {
      yield [0, await picturePixels(bytes, pictureFacts(bytes, ref.name))];
    },
    close: () => Promise.resolve(),
  };
}

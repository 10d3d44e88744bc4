import { TABLES } from '../core/colour/table';
import { sortOf, type FileKind } from '../core/kept';
import { NO_PANORAMA, PANORAMAS, panoramaOfPixels } from '../core/panorama/facts';
import type { Panorama } from '../core/panorama/panorama';
import type { NamedFile } from '../core/piece/files';
import { CLIPS } from '../core/clips';
import { PICTURES } from '../core/pictures/facts';
import { FONTS, withMore } from '../core/type/font';
import { isHere } from '../core/piece/here';
import { MARKS } from '../core/type/mark';
import { SOUNDS } from '../core/sound/facts';
import { MOTIONS } from '../core/motion/motion';
import { MODELS } from '../core/solids/models/model';
import { knownJoins } from './joins';
import { heldModel } from './models';
import { fileBlob, moreOf } from './shelf';

const bytesOf = async (blob: Blob): Promise<Uint8Array<ArrayBuffer>> => new Uint8Array(await blob.arrayBuffer());

const readOwn = async (bytes: Uint8Array<ArrayBuffer>, name: string): Promise<Panorama> =>
  (await import('../formats/panorama/panorama')).readPanorama(bytes, name);

async function readPicture(bytes: Uint8Array<ArrayBuffer>, name: string): Promise<Panorama> {
  const { pictureFacts } = await import('../formats/picture/facts');
  const facts = pictureFacts(bytes, name);
  if (typeof createImageBitmap !== 'function') return NO_PANORAMA;
  const { picturePixels } = await import('../formats/picture/pixels');
  return panoramaOfPixels(await picturePixels(bytes, facts));
}

/** How the files of each kind become what pieces are drawn with. What opens them is loaded when there is one. */
const TAKE: Readonly<Record<FileKind, (hash: string, blob: Blob, name: string) => Promise<void>>> = {
  async font(hash, blob, name) {
    const { openFont } = await import('../formats/font/font');
    const font = openFont(await bytesOf(blob), name);
    const more = await moreOf(hash);
    FONTS.take(hash, more ? withMore(font, openFont(more, name)) : font);
  },
  async mark(hash, blob, name) {
    const { readMark } = await import('../formats/svg/svg');
    MARKS.take(hash, readMark(await bytesOf(blob), name));
  },
  async picture(hash, blob, name) {
    const { pictureFacts } = await import('../formats/picture/facts');
    PICTURES.take(hash, pictureFacts(await bytesOf(blob), name));
  },
  // of a picture its pixels, where there is a browser to open it; elsewhere nothing is drawn with them
  async panorama(hash, blob, name) {
    const bytes = await bytesOf(blob);
    PANORAMAS.take(hash, sortOf(bytes) === 'panorama' ? await readOwn(bytes, name) : await readPicture(bytes, name));
  },
  async table(hash, blob, name) {
    const { readCube } = await import('../formats/table/cube');
    TABLES.take(hash, readCube(await bytesOf(blob), name));
  },
  async model(hash, blob, name) {
    MODELS.take(hash, await heldModel(hash, blob, name));
  },
  async motion(hash, blob, name) {
    const { readBvh } = await import('../formats/motion/bvh');
    MOTIONS.take(hash, readBvh(await bytesOf(blob), name));
  },
  // nor is a sound: its samples are read when a file is made
  async sound(hash, blob, name) {
    const { soundFacts } = await import('../formats/sound/sound');
    SOUNDS.take(hash, await soundFacts(blob, name));
  },
  // a clip is not read as a whole, however long it is
  async clip(hash, blob, name) {
    const { Clip } = await import('../formats/clip/clip');
    const clip = await Clip.open(blob, name);
    CLIPS.take(hash, { ...clip.facts, joins: await knownJoins(hash) });
    await clip.close();
  },
};

/**
 * Takes in files that a piece names, so that it can be evaluated and drawn in this thread. What is missing, or cannot be read
 * any more, stays out: stand-ins are drawn, and asking again tries again.
 * @returns whether any that was not here is now
 */
export async function takeIn(files: readonly Pick<NamedFile, 'ref' | 'kind'>[]): Promise<boolean> {
  const taken = await Promise.all(
    files.map(async ({ ref, kind }) => {
      if (isHere(kind, ref)) return false;
      try {
        const blob = await fileBlob(ref);
        if (blob) await TAKE[kind](ref.hash, blob, ref.name);
        return blob !== null;
      } catch {
        // it is as good as missing
        return false;
      }
    }),
  );
  return taken.includes(true);
}

import type { FileKind } from '../core/kept';
import type { NamedFile } from '../core/piece/files';
import { CLIPS } from '../core/clips';
import { PICTURES } from '../core/pictures/facts';
import { FONTS, withMore } from '../core/type/font';
import { isHere } from '../core/type/here';
import { MARKS } from '../core/type/mark';
import { knownJoins } from './joins';
import { fileBytes, moreOf } from './shelf';

/** How the files of each kind become what pieces are drawn with. What opens them is loaded when there is one. */
const TAKE: Readonly<Record<FileKind, (hash: string, bytes: Uint8Array<ArrayBuffer>, name: string) => Promise<void>>> =
  {
    async font(hash, bytes, name) {
      const { openFont } = await import('../formats/font/font');
      const font = openFont(bytes, name);
      const more = await moreOf(hash);
      FONTS.take(hash, more ? withMore(font, openFont(more, name)) : font);
    },
    async mark(hash, bytes, name) {
      const { readMark } = await import('../formats/svg/svg');
      MARKS.take(hash, readMark(bytes, name));
    },
    async picture(hash, bytes, name) {
      const { pictureFacts } = await import('../formats/picture/facts');
      PICTURES.take(hash, pictureFacts(bytes, name));
    },
    async clip(hash, bytes, name) {
      const { Clip } = await import('../formats/clip/clip');
      const clip = await Clip.open(new Blob([bytes]), name);
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
        const bytes = await fileBytes(ref);
        if (bytes) await TAKE[kind](ref.hash, bytes, ref.name);
        return bytes !== null;
      } catch {
        // it is as good as missing
        return false;
      }
    }),
  );
  return taken.includes(true);
}

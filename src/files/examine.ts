import { sortOf, type FileKind } from '../core/kept';
import { Trouble } from '../core/trouble';
import { Clip } from '../formats/clip/clip';
import { readPanorama } from '../formats/panorama/panorama';
import { pictureFacts } from '../formats/picture/facts';
import { picturePixels } from '../formats/picture/pixels';
import { triedFont } from '../formats/font/font';
import { readBvh } from '../formats/motion/bvh';
import { canDecodeSound, soundFacts } from '../formats/sound/sound';
import { readCube } from '../formats/table/cube';
import { readMark } from '../formats/svg/svg';
import { checkBytes } from './sizes';
import { preparedModel } from '../formats/model/prepared';

/** How a file of each kind is tried as it will be used. In a browser pictures and clips are opened too. */
const TRIED: Readonly<Record<FileKind, (bytes: Uint8Array<ArrayBuffer>, name: string) => unknown>> = {
  font: triedFont,
  async mark(bytes, name) {
    readMark(bytes, name);
    // drawn as a picture for no more than to see that it comes to an end
    if (typeof createImageBitmap === 'function')
      await Promise.resolve()
        .then(() => picturePixels(bytes, pictureFacts(bytes, name)))
        .catch(() => undefined);
  },
  async picture(bytes, name) {
    const facts = pictureFacts(bytes, name);
    if (typeof createImageBitmap === 'function') await picturePixels(bytes, facts);
  },
  panorama: readPanorama,
  table: readCube,
  motion: readBvh,
  async sound(bytes, name) {
    const blob = new Blob([bytes]);
    await soundFacts(blob, name);
    if (typeof AudioDecoder === 'function' && !(await canDecodeSound(blob, name)))
      throw new Trouble('refused', `this browser cannot decode “${name}”`, { would: 'Bring it in as WAV.' });
  },
  async model(bytes, name) {
    await preparedModel(bytes, name);
  },
  async clip(bytes, name) {
    const clip = await Clip.open(new Blob([bytes]), name);
    try {
      if (typeof VideoDecoder !== 'function') return;
      const trouble = await clip.trouble();
      if (trouble) throw trouble;
      for await (const _ of clip.from(0)) return;
      throw new Trouble('refused', `“${name}” is damaged: none of its frames can be shown`);
    } finally {
      await clip.close();
    }
  },
};

/**
 * What a file is, tried as it will be used.
 * @throws Trouble `refused`, in words, when it is nothing that can be kept
 */
export async function examined(bytes: Uint8Array<ArrayBuffer>, name: string): Promise<FileKind> {
  const sort = sortOf(bytes);
  if (sort === null || sort === 'zip' || sort === 'json')
    throw new Trouble(
      'refused',
      `“${name}” is neither a font, a drawing, a picture, a panorama, a clip, a table of colours, a model, a motion nor a sound`,
      {
        received: bytes.length === 0 ? 'it is empty' : undefined,
        would:
          'Bring in .ttf, .otf, .woff, .woff2, .svg, .png, .jpg, .webp, .avif, .hdr, .exr, .mp4, .webm, .cube, .glb, .gltf, .obj, .ply, .stl, .bvh, .wav, .mp3, .flac, .ogg, .m4a; pieces are .isomorph.json or .isomorph.zip.',
      },
    );
  checkBytes(sort, bytes, name);
  await TRIED[sort](bytes, name);
  return sort;
}

import { unzipSync } from 'fflate';
import type { RawModel } from '../../core/solids/models/raw';
import { Trouble } from '../../core/trouble';
import { modelFormatOf } from './model';
import { baseName, NO_LIBRARY, readMtl, type Library } from './mtl';
import { readObj } from './obj';
import { refuse } from './refuse';

/** A file and what it is called. */
export interface NamedBytes {
  name: string;
  bytes: Uint8Array<ArrayBuffer>;
}

/** What may belong to a model besides its own file. */
const BESIDE = /\.(mtl|bin|png|jpe?g|webp|avif)$/i;
/** A file that may need others. */
const NEEDY = /\.(obj|gltf)$/i;

/** Of some files that came together, the model that the others belong to; null where there is none, or it needs none. */
export function modelAmong<F extends { name: string }>(files: readonly F[]): { model: F; beside: F[] } | null {
  const [model, ...more] = files.filter(({ name }) => NEEDY.test(name));
  const beside = files.filter(({ name }) => BESIDE.test(name));
  return model && more.length === 0 && beside.length > 0 ? { model, beside } : null;
}

/** The materials of all libraries beside a model. */
function libraryOf(beside: ReadonlyMap<string, Uint8Array<ArrayBuffer>>, used: Set<string>): Library {
  const materials = new Map(NO_LIBRARY.materials);
  const pictures: Uint8Array<ArrayBuffer>[] = [];
  for (const [name, bytes] of beside) {
    if (!/\.mtl$/i.test(name)) continue;
    used.add(name);
    const first = pictures.length;
    const own = readMtl(bytes, (picture) => {
      const found = [...beside.keys()].find((other) => other.toLowerCase() === picture.toLowerCase());
      if (found === undefined) return null;
      used.add(found);
      return beside.get(found) ?? null;
    });
    const later = (at: number | null): number | null => (at === null ? null : at + first);
    for (const [key, material] of own.materials) {
      const { colour, manner, glow, relief } = material.maps;
      const maps = { colour: later(colour), manner: later(manner), glow: later(glow), relief: later(relief) };
      materials.set(key, { ...material, maps });
    }
    pictures.push(...own.pictures);
  }
  return { materials, pictures };
}

/**
 * A model with the files that it needs as one file, a GLB.
 * @returns the file, and which of the others are in it
 * @throws Trouble `refused`, in words
 */
export async function bundled(
  model: NamedBytes,
  beside: readonly NamedBytes[],
): Promise<NamedBytes & { used: string[] }> {
  const byName = new Map(beside.map(({ name, bytes }) => [baseName(name), bytes]));
  const used = new Set<string>();
  let raw: RawModel;
  if (modelFormatOf(model.bytes) === 'gltf') {
    const { readGltf } = await import('./gltf');
    raw = await readGltf(model.bytes, model.name, byName);
    for (const name of byName.keys()) if (!/\.mtl$/i.test(name)) used.add(name);
  } else raw = readObj(model.bytes, model.name, libraryOf(byName, used));
  const { writeGlb } = await import('./glb');
  return { name: model.name.replace(NEEDY, '.glb'), bytes: await writeGlb(raw), used: [...used] };
}

/** What an archive of a model may hold at most. */
const MOST = { entries: 500, bytes: 600e6 } as const;

/**
 * The model in an archive, with what it needs, as one file.
 * @throws Trouble `refused` when there is none, or more than one
 */
export async function modelIn(bytes: Uint8Array, name: string): Promise<NamedBytes> {
  let [entries, total] = [0, 0];
  let files: NamedBytes[];
  try {
    const wanted = unzipSync(bytes, {
      filter({ name: path, originalSize }) {
        if (path.startsWith('/') || path.includes('\\') || path.split('/').includes('..'))
          refuse(name, 'the archive names a place outside of itself');
        total += originalSize;
        if (++entries > MOST.entries || total > MOST.bytes) refuse(name, 'the archive holds too much');
        return /\.(obj|gltf|glb|ply|stl)$/i.test(path) || BESIDE.test(path);
      },
    });
    files = Object.entries(wanted).map(([path, own]) => ({
      name: baseName(path),
      bytes: own as Uint8Array<ArrayBuffer>,
    }));
  } catch (error) {
    if (error instanceof Trouble) throw error;
    return refuse(name, 'the archive is damaged');
  }
  const models = files.filter(({ name: own }) => !BESIDE.test(own));
  if (models.length !== 1)
    return refuse(name, `the archive holds ${models.length === 0 ? 'no model' : `${models.length} models`}`);
  return NEEDY.test(models[0].name)
    ? bundled(
        models[0],
        files.filter((file) => file !== models[0]),
      )
    : models[0];
}

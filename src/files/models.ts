import type { Table } from 'dexie';
import { halved, type Raster } from '../core/pictures/raster';
import type { HeldModel, Model } from '../core/solids/models/model';
import { filesDatabase, type ReadyModel } from './database';

/** Counts up when models are made ready in another way: those of before are made anew. */
const VERSION = 1;

/** The longest side of a model's picture as it is drawn, in pixels. */
const MOST_SIDE = 2048;

/** A page draws models small, and holds their coarse details alone; workers draw all of them. */
const onPage = typeof document !== 'undefined';

const known = async (table: Table<ReadyModel, string>, hash: string): Promise<Model | null> => {
  const found = await table.get(hash).catch(() => undefined);
  return found?.version === VERSION ? found.model : null;
};

/** Keeps a model that was made ready, beside its file. Where there is no room it is made ready anew next time. */
async function keepModel(hash: string, model: Model): Promise<void> {
  const { lightened } = await import('../core/solids/models/prepare');
  const version = VERSION;
  await filesDatabase
    .transaction('rw', filesDatabase.models, filesDatabase.lightModels, async () => {
      await filesDatabase.lightModels.put({ hash, version, model: lightened(model) });
      await filesDatabase.models.put({ hash, version, model });
    })
    .catch(() => undefined);
}

/**
 * A model made ready and kept so: all of it where it is drawn; on a page its coarse details, made in a worker of its own, for a large one
 * takes seconds.
 */
async function readiedModel(hash: string, blob: Blob, name: string): Promise<Model> {
  // one after another: a worker each at once would make all of them late
  if (onPage) return inTurn(async () => (await import('./tried')).readyModel(hash, blob, name));
  const { preparedModel } = await import('../formats/model/prepared');
  const model = await preparedModel(new Uint8Array(await blob.arrayBuffer()), name);
  await keepModel(hash, model);
  return model;
}

let last: Promise<unknown> = Promise.resolve();
/** Does something when all that was asked for before is done. */
function inTurn<T>(act: () => Promise<T>): Promise<T> {
  const mine = last.then(act);
  last = mine.catch(() => undefined);
  return mine;
}

/** The same in a worker for a page, which holds its coarse details. */
export async function lightModel(hash: string, blob: Blob, name: string): Promise<Model> {
  const { lightened } = await import('../core/solids/models/prepare');
  return lightened((await known(filesDatabase.models, hash)) ?? (await readiedModel(hash, blob, name)));
}

/** Has something done by one thread at a time, where threads know of each other. */
async function alone<T>(what: string, act: () => Promise<T>): Promise<T> {
  if (typeof navigator === 'undefined' || !('locks' in navigator)) return act();
  return await navigator.locks.request(what, act);
}

/** A picture at another size. */
function resized(raster: Raster, width: number, height: number): Raster {
  if (raster.width === width && raster.height === height) return raster;
  const [from, to] = [raster, { width, height }].map(({ width: w, height: h }) => new OffscreenCanvas(w, h));
  const [source, context] = [from, to].map((canvas) => canvas.getContext('2d', { willReadFrequently: true }));
  if (!source || !context) return raster;
  source.putImageData(new ImageData(Uint8ClampedArray.from(raster.rgba), raster.width, raster.height), 0, 0);
  context.imageSmoothingQuality = 'high';
  context.drawImage(from, 0, 0, width, height);
  return { width, height, rgba: context.getImageData(0, 0, width, height).data };
}

/** The pictures of a model, opened, all of one size and no larger than they are drawn; null for what is damaged. */
async function openedPictures({ pictures }: Model, name: string): Promise<(Raster | null)[]> {
  if (onPage || pictures.length === 0 || typeof createImageBitmap !== 'function') return pictures.map(() => null);
  const [{ pictureFacts }, { picturePixels }] = await Promise.all([
    import('../formats/picture/facts'),
    import('../formats/picture/pixels'),
  ]);
  const opened = await Promise.all(
    pictures.map(async (bytes) => {
      try {
        let raster = await picturePixels(bytes, pictureFacts(bytes, name));
        while (Math.max(raster.width, raster.height) > MOST_SIDE) raster = halved(raster);
        return raster;
      } catch {
        return null;
      }
    }),
  );
  const most = (side: 'width' | 'height'): number => Math.max(1, ...opened.map((raster) => raster?.[side] ?? 1));
  return opened.map((raster) => raster && resized(raster, most('width'), most('height')));
}

/** A model as this thread holds it: made ready once, and kept so beside its file. @throws Trouble when it cannot be used */
export async function heldModel(hash: string, blob: Blob, name: string): Promise<HeldModel> {
  const table = onPage ? filesDatabase.lightModels : filesDatabase.models;
  const made = (): Promise<Model> => readiedModel(hash, blob, name);
  const model =
    (await known(table, hash)) ??
    // a page's worker asks for it itself
    (onPage ? await made() : await alone(`isomorph model ${hash}`, async () => (await known(table, hash)) ?? made()));
  return { ...model, rasters: await openedPictures(model, name) };
}

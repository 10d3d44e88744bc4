import type { Model } from '../../core/solids/models/model';
import { readModel } from './model';

/** A model read and made ready. What makes it ready is loaded when there is one. @throws Trouble `refused`, in words */
export async function preparedModel(bytes: Uint8Array<ArrayBuffer>, name: string): Promise<Model> {
  const raw = await readModel(bytes, name);
  const [{ prepareModel }, { simplifierReady }] = await Promise.all([
    import('../../core/solids/models/prepare'),
    import('../../core/solids/models/simplified'),
  ]);
  await simplifierReady;
  return prepareModel(raw, name);
}

import { asTrouble, type TroubleData } from '../core/trouble';
import type { Joins } from '../core/clips';
import type { FileKind } from '../core/kept';
import { clipJoins } from '../formats/clip/small';
import { unpack, type Unpacked } from '../formats/packed/packed';
import { buffersOf, type Model } from '../core/solids/models/model';
import type { NamedBytes } from '../formats/model/bundle';
import { examined } from './examine';
import { lightModel } from './models';

/** What is asked of the worker, and what it answers. */
export type Asked =
  | { do: 'examine' | 'unpack'; bytes: Uint8Array<ArrayBuffer>; name: string }
  | { do: 'join'; blob: Blob; name: string }
  | { do: 'bundle'; model: NamedBytes; beside: NamedBytes[]; name: string }
  | { do: 'modelIn'; bytes: Uint8Array<ArrayBuffer>; name: string }
  | { do: 'model'; hash: string; blob: Blob; name: string };
/** Asks whether it is there. */
export interface Start {
  do: 'start';
}
export type Answered =
  | { started: true }
  | { kind: FileKind }
  | { unpacked: Unpacked }
  | { joins: Joins | null }
  | { model: Model }
  | { bundled: NamedBytes & { used: string[] } }
  | { trouble: TroubleData };

const bundles = () => import('../formats/model/bundle');

/** What is large crosses without being copied. */
const answer = (answered: Answered): void =>
  postMessage(answered, 'model' in answered ? buffersOf(answered.model) : []);

async function answered(asked: Asked): Promise<Answered> {
  try {
    switch (asked.do) {
      case 'examine':
        return { kind: await examined(asked.bytes, asked.name) };
      case 'unpack':
        return { unpacked: unpack(asked.bytes, asked.name) };
      case 'model':
        return { model: await lightModel(asked.hash, asked.blob, asked.name) };
      case 'bundle':
        return { bundled: await (await bundles()).bundled(asked.model, asked.beside) };
      case 'modelIn':
        return { bundled: { ...(await (await bundles()).modelIn(asked.bytes, asked.name)), used: [] } };
      case 'join':
        return { joins: await clipJoins(asked.blob, asked.name) };
    }
  } catch (error) {
    return { trouble: asTrouble(error, 'refused').data };
  }
}

addEventListener('message', ({ data }: MessageEvent<Asked | Start>) => {
  if (data.do === 'start') answer({ started: true });
  else void answered(data).then(answer);
});
answer({ started: true });

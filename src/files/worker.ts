import { asTrouble, type TroubleData } from '../core/trouble';
import type { FileKind } from '../core/kept';
import { unpack, type Unpacked } from '../formats/packed/packed';
import { examined } from './examine';

/** What is asked of the worker, and what it answers. */
export type Asked = { do: 'examine' | 'unpack'; bytes: Uint8Array<ArrayBuffer>; name: string };
export type Answered = { started: true } | { kind: FileKind } | { unpacked: Unpacked } | { trouble: TroubleData };

const answer = (answered: Answered): void => postMessage(answered);

async function answered({ do: what, bytes, name }: Asked): Promise<Answered> {
  try {
    return what === 'examine' ? { kind: await examined(bytes, name) } : { unpacked: unpack(bytes, name) };
  } catch (error) {
    return { trouble: asTrouble(error, 'refused').data };
  }
}

addEventListener('message', ({ data }: MessageEvent<Asked>) => void answered(data).then(answer));
answer({ started: true });

import { asTrouble, type TroubleData } from '../core/trouble';
import type { FileKind } from '../core/kept';
import { unpack, type Unpacked } from '../formats/packed/packed';
import { examined } from './examine';

/** What is asked of the worker, and what it answers. */
export type Asked = { do: 'examine' | 'unpack'; bytes: Uint8Array<ArrayBuffer>; name: string };
export type Answered = { started: true } | { kind: FileKind } | { unpacked: Unpacked } | { trouble: TroubleData };

const answer = (answered: Answered): void => postMessage(answered);

addEventListener('message', ({ data }: MessageEvent<Asked>) => {
  try {
    if (data.do === 'examine') answer({ kind: examined(data.bytes, data.name) });
    else answer({ unpacked: unpack(data.bytes, data.name) });
  } catch (error) {
    answer({ trouble: asTrouble(error, 'refused').data });
  }
});
answer({ started: true });

import { Trouble } from '../../../core/trouble';
import type { Delivery } from '../../../core/deliveries/form';
import {
  MACHINE,
  SENT,
  type MachineAsk,
  type MachineKind,
  type MachineLook,
  type MachineState,
} from '../../machine/kinds';
import { Appender } from '../../bytes/sink';
import { bytesOf, numbersOf, samplesOf, withAlpha, type Picture } from '../../picture';
import { shows, smallCells, traceOf, traceOfNumbers } from '../../trace';
import type { ExportCodec, FrameFacts, Settings, Verified } from '../codec';
import { partFrames } from '../film/browser';
import { frameOf } from '../film/read';
import { filmHz } from '../film/hz';
import { machineAlpha } from './alpha';

const AT = '/api/encode';
const OCTETS = { 'Content-Type': 'application/octet-stream' };

/** Asks the server. @throws Trouble in its words */
async function ask(path: string, init: RequestInit = {}): Promise<Response> {
  const answer = await fetch(AT + path, init).catch((error: unknown) => {
    throw new Trouble('not-written', 'the server that encodes does not answer', {
      received: String(error),
      would: 'Start Isomorph again, then go on.',
    });
  });
  if (answer.ok) return answer;
  const words = (await answer.text()).trim();
  throw new Trouble(answer.status === 507 ? 'no-room' : 'not-written', words);
}

const begin = async (kind: MachineKind, { delivery, width, height, rate }: Settings): Promise<string> => {
  const asked: MachineAsk = {
    ...{
      kind,
      width,
      height,
      rate,
      quality: delivery.rate,
      megabits: delivery.megabits,
      filmQuality: delivery.filmQuality,
    },
    alpha: machineAlpha(delivery),
  };
  const answer = await ask('', {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify(asked),
  });
  return ((await answer.json()) as { id: string }).id;
};

const end = (id: string): Promise<void> =>
  ask(`/${id}`, { method: 'DELETE', headers: OCTETS }).then(
    () => undefined,
    () => undefined,
  );

/** A frame as it is sent. */
function sentOf(picture: Picture, kind: MachineKind, { alpha }: Delivery): Uint8Array<ArrayBuffer> {
  if (picture.bytes) return picture.bytes.slice();
  const { channels, bits } = SENT[MACHINE[kind].pixels];
  const samples = samplesOf(withAlpha(numbersOf(picture).rgba, alpha), channels, bits);
  // every machine that browsers run on has the lesser byte first
  return new Uint8Array(samples.buffer as ArrayBuffer, samples.byteOffset, samples.byteLength);
}

/** What was seen in the files that this thread has put together. */
const looks = new WeakMap<Blob, MachineLook>();

async function writeTo(answer: Response, whole: Parameters<ExportCodec['join']>[2]): Promise<Blob> {
  const out = await whole();
  const reader = answer.body?.getReader();
  const file = new Appender(out);
  for (let read = await reader?.read(); read && !read.done; read = await reader?.read()) {
    await file.write(read.value);
  }
  if (file.at !== Number(answer.headers.get('Content-Length')))
    throw new Trouble('not-written', 'the file of the server did not come whole');
  return out.finish();
}

export function verified(look: MachineLook, settings: Settings, facts: readonly FrameFacts[]): Verified {
  const count = settings.frames.length * settings.delivery.repeats;
  const wanted = count / filmHz(settings);
  const { frames, seconds, width, height, codec } = look;
  const says = `${frames} frames, ${seconds.toFixed(3)} s, ${codec}`;
  if (frames !== count || Math.abs(seconds - wanted) > 0.002)
    return {
      frames,
      seconds,
      ok: false,
      says: `${says}, but ${count} frames and ${wanted.toFixed(3)} s were asked for`,
    };
  if (width !== settings.width || height !== settings.height)
    return { frames, seconds, ok: false, says: `${says}, but ${width}×${height}` };
  const cells = Uint8Array.from(atob(look.cells), (letter) => letter.charCodeAt(0));
  const each = cells.length / frames;
  const wrong = Array.from({ length: frames }, (_, i) =>
    smallCells(cells.subarray(i * each, (i + 1) * each)),
  ).findIndex((own, i) => !shows(own, facts[i % facts.length]));
  return wrong < 0
    ? { frames, seconds, ok: true, says: `${says}, each as it was rendered` }
    : {
        frames,
        seconds,
        ok: false,
        says: `${says}, but frame ${frameOf(settings, wrong)} is not the picture that was rendered`,
      };
}

/** A codec of the machine's ffmpeg: frames go to the server one after another, a part comes back. */
export const machineFilm = (kind: MachineKind): ExportCodec => ({
  async refusal({ width, height }) {
    const { name, encoder, step } = MACHINE[kind];
    if (width % step || height % step)
      return `${name} needs sizes that are multiples of ${step}; ${width}×${height} is not`;
    const state = (await (await ask('')).json()) as MachineState;
    if (state.version === null)
      return `${name} is encoded by ffmpeg, which is not installed on the machine that serves Isomorph: install it (apt-get install ffmpeg, brew install ffmpeg, winget install ffmpeg), then start Isomorph again`;
    if (!state.encoders.includes(encoder))
      return `the ffmpeg ${state.version} of this machine has no ${encoder}, which ${name} is encoded with; one of Debian, Homebrew or ffmpeg.org has`;
    return null;
  },
  partFrames,
  async open(settings) {
    const { width, height, delivery } = settings;
    const id = await begin(kind, settings);
    const frames: FrameFacts[] = [];
    return {
      async add(picture) {
        frames.push(
          picture.bytes
            ? traceOf(bytesOf(picture), width, height)
            : traceOfNumbers(numbersOf(picture).rgba, width, height, 0),
        );
        await ask(`/${id}`, { method: 'PUT', headers: OCTETS, body: sentOf(picture, kind, delivery) });
      },
      async finish() {
        const answer = await ask(`/${id}`, { method: 'POST', headers: OCTETS });
        const bytes = new Uint8Array(await answer.arrayBuffer());
        await end(id);
        return { bytes, frames };
      },
      abandon: () => end(id),
    };
  },
  async join(settings, parts, whole) {
    const id = await begin(kind, settings);
    try {
      for (let part = 0; part < parts.count; part++)
        await ask(`/${id}?part=${part}`, { method: 'PUT', headers: OCTETS, body: await parts.at(part) });
      const answer = await ask(`/${id}?join=${settings.delivery.repeats}`, { method: 'POST', headers: OCTETS });
      const file = await writeTo(answer, whole);
      looks.set(file, (await (await ask(`/${id}?look`, { method: 'POST', headers: OCTETS })).json()) as MachineLook);
      return file;
    } finally {
      await end(id);
    }
  },
  verify(file, settings, facts) {
    const look = looks.get(file);
    const none = { frames: 0, seconds: 0, ok: false, says: 'it was not read back' };
    return Promise.resolve(look ? verified(look, settings, facts) : none);
  },
});

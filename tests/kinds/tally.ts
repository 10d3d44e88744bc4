// A kind of file that no one ships: a line of text for each frame, with the sum of its colours.
import { PLAIN, type FormatInfo } from '../../src/core/deliveries/format';
import type { ExportCodec, FrameFacts } from '../../src/export/codecs/codec';
import { bytesOf } from '../../src/export/picture';
import { traceOf } from '../../src/export/trace';

export const tally = {
  ...PLAIN,
  kind: 'tally',
  label: 'Tally of colours',
  short: 'Tally',
  extension: '.txt',
  mime: 'text/plain',
  holds: 'film',
} as const satisfies FormatInfo;

export const tallyCodec: ExportCodec = {
  refusal: ({ frames }) => Promise.resolve(frames.length > 100 ? 'too many lines' : null),
  partFrames: () => 2,
  open({ width, height }) {
    const frames: FrameFacts[] = [];
    return Promise.resolve({
      add: (picture) => Promise.resolve(void frames.push(traceOf(bytesOf(picture), width, height))),
      finish: () =>
        Promise.resolve({ bytes: new TextEncoder().encode(frames.map(({ sum }) => `${sum}\n`).join('')), frames }),
      abandon: () => Promise.resolve(),
    });
  },
  async join(_, parts, whole) {
    const out = await whole();
    let at = 0;
    for (let part = 0; part < parts.count; part++) {
      const bytes = new Uint8Array(await (await parts.at(part)).arrayBuffer());
      await out.write(bytes, at);
      at += bytes.length;
    }
    return out.finish();
  },
  async verify(file, settings, facts) {
    const lines = (await file.text()).trim().split('\n').map(Number);
    const ok = lines.length === settings.frames.length && lines.every((sum, i) => sum === facts.at(i)?.sum);
    return { frames: lines.length, seconds: 0, ok, says: `${lines.length} lines` };
  },
};

// A kind of file that no one ships: a line of text for each frame, with the sum of its colours.
import type { FormatInfo } from '../../src/core/deliveries/format';
import type { ExportCodec } from '../../src/export/codecs/codec';
import { colourSum } from '../../src/export/trace';

export const tally = {
  kind: 'tally',
  label: 'Tally of colours',
  short: 'Tally',
  extension: '.txt',
  mime: 'text/plain',
  takes: { pixels: 'srgb8', alpha: false },
  rated: false,
} as const satisfies FormatInfo;

export const tallyCodec: ExportCodec = {
  refusal: ({ count }) => Promise.resolve(count > 100 ? 'too many lines' : null),
  open() {
    const lines: number[] = [];
    return Promise.resolve({
      add: (rgba) => Promise.resolve(void lines.push(colourSum(rgba, 4))),
      finish: () => Promise.resolve(new TextEncoder().encode(lines.join('\n'))),
      abandon: () => Promise.resolve(),
    });
  },
  verify(bytes, { count }, traces) {
    const lines = new TextDecoder().decode(bytes).split('\n').map(Number);
    const ok = lines.length === count && lines.every((sum, i) => sum === traces[i].sum);
    return Promise.resolve({ frames: lines.length, seconds: 0, ok, says: `${lines.length} lines` });
  },
};

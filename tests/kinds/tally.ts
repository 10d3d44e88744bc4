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
  open(_settings, out) {
    const lines: number[] = [];
    return Promise.resolve({
      add: (rgba) => Promise.resolve(void lines.push(colourSum(rgba, 4))),
      finish: () => out.write(new TextEncoder().encode(lines.join('\n')), 0),
      abandon: () => Promise.resolve(),
    });
  },
  async verify(file, { count }, traces) {
    const lines = (await file.text()).split('\n').map(Number);
    const ok = lines.length === count && lines.every((sum, i) => sum === traces[i].sum);
    return { frames: lines.length, seconds: 0, ok, says: `${lines.length} lines` };
  },
};

import { MOST_ENTRIES, type ColourTable } from '../../core/colour/table';
import type { Rgb } from '../../core/colour/colour';
import { Trouble } from '../../core/trouble';

const WOULD = 'Bring in a .cube table of one or three dimensions.';

/** The words of a file that are not its entries. */
interface Head {
  name: string | null;
  of: ColourTable['of'] | null;
  side: number;
  low: Rgb;
  high: Rgb;
}

/** Reads one line of the head. @returns what is wrong with it; null when nothing is, undefined where it is no line of the head */
function headLine(head: Head, line: string): string | null | undefined {
  const [word, ...rest] = line.split(/\s+/);
  const numbers = rest.map(Number);
  switch (word) {
    case 'TITLE':
      head.name = /"([^"]*)"/.exec(line)?.[1]?.trim() ?? null;
      return null;
    case 'DOMAIN_MIN':
    case 'DOMAIN_MAX': {
      const [r, g, b] = numbers;
      if (numbers.length !== 3 || !numbers.every(Number.isFinite)) return 'three numbers should follow';
      if (word === 'DOMAIN_MIN') head.low = [r, g, b];
      else head.high = [r, g, b];
      return null;
    }
    case 'LUT_1D_SIZE':
    case 'LUT_3D_SIZE': {
      if (head.of) return 'it has a size already';
      head.of = word === 'LUT_1D_SIZE' ? 'channels' : 'colours';
      head.side = numbers[0];
      const most = MOST_ENTRIES[head.of];
      return Number.isInteger(head.side) && head.side >= 2 && head.side <= most
        ? null
        : `a size is a whole number from 2 to ${most}`;
    }
    default:
      return /^[A-Z_]/i.test(word) ? 'what it says is not known' : undefined;
  }
}

/**
 * A colour table (Adobe, "Cube LUT Specification", version 1.0, 2013): words at first, then a line of three numbers for each entry, red the
 * fastest. Numbers may be beyond 0 to 1.
 * @param name what the file is called
 * @throws Trouble `refused`, naming the line, when it is none
 */
export function readCube(bytes: Uint8Array, name: string): ColourTable {
  const refuse = (what: string): never => {
    throw new Trouble('refused', `“${name}” is not a table of colours that can be used: ${what}`, { would: WOULD });
  };
  const head: Head = { name: null, of: null, side: 0, low: [0, 0, 0], high: [1, 1, 1] };
  let values: Float32Array | null = null;
  let filled = 0;
  const lines = new TextDecoder()
    .decode(bytes)
    .replace(/^\ufeff/, '')
    .split(/\r\n?|\n/);
  for (const [i, raw] of lines.entries()) {
    const line = raw.trim();
    if (line === '' || line.startsWith('#')) continue;
    const wrong = headLine(head, line);
    if (wrong) refuse(`line ${i + 1}, “${line.slice(0, 40)}”: ${wrong}`);
    if (wrong === null) continue;
    if (!head.of) return refuse(`line ${i + 1} comes before it says how large it is`);
    values ??= new Float32Array(3 * (head.of === 'channels' ? head.side : head.side ** 3));
    const numbers = line.split(/\s+/).map(Number);
    if (numbers.length !== 3 || !numbers.every(Number.isFinite))
      refuse(`line ${i + 1}, “${line.slice(0, 40)}”, should be three numbers`);
    if (filled + 3 > values.length) refuse(`line ${i + 1} is one more than its ${values.length / 3} entries`);
    values.set(numbers, filled);
    filled += 3;
  }
  if (!head.of || !values) return refuse('it holds no entries');
  if (filled < values.length) refuse(`it ends after ${filled / 3} of ${values.length / 3} entries`);
  if (head.low.some((v, k) => !(v < head.high[k]))) refuse('its first entry is for no less than its last');
  const { of, side, low, high } = head;
  return { name: head.name || name.replace(/\.cube$/i, ''), of, side, low, high, values };
}

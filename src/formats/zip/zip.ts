import { joined } from '../bytes';

// An archive that only holds its files (APPNOTE 6.3.10 of the .ZIP File Format, §4; sizes and places over 4 GB by its Zip64 fields), put
// together of parts that stay where they are: nothing of the files is read, or held in memory.

/** A file of an archive. */
export interface ZipEntry {
  name: string;
  file: Blob;
  /** of all its bytes */
  crc: number;
}

const [LOCAL, CENTRAL, END, END64, LOCATOR64] = [0x04034b50, 0x02014b50, 0x06054b50, 0x06064b50, 0x07064b50];
const MOST = 0xffffffff;
/** The first of January 1980, so that the same files are the same archive. */
const DATE = (1 << 5) | 1;
const UTF8 = 1 << 11;
/** Version of the format that is needed to read it. */
const [PLAIN, WIDE] = [20, 45];

type Value = readonly [bytes: 2 | 4 | 8, value: number];

function bytesOf(values: readonly Value[]): Uint8Array<ArrayBuffer> {
  const out = new Uint8Array(values.reduce((sum, [bytes]) => sum + bytes, 0));
  const view = new DataView(out.buffer);
  let at = 0;
  for (const [bytes, value] of values) {
    if (bytes === 8) view.setBigUint64(at, BigInt(value), true);
    else if (bytes === 4) view.setUint32(at, value, true);
    else view.setUint16(at, value, true);
    at += bytes;
  }
  return out;
}

/** Where an entry stands. */
interface Placed {
  name: Uint8Array<ArrayBuffer>;
  size: number;
  crc: number;
  at: number;
}

/** What both of an entry's heads say. */
const facts = ({ name, size, crc }: Placed, wide: boolean, extra: number): Value[] => [
  [2, wide ? WIDE : PLAIN],
  [2, UTF8],
  [2, 0],
  [2, 0],
  [2, DATE],
  [4, crc],
  [4, size > MOST ? MOST : size],
  [4, size > MOST ? MOST : size],
  [2, name.length],
  [2, extra],
];

function localHead(entry: Placed): Uint8Array<ArrayBuffer> {
  const wide = entry.size > MOST;
  const extra: Value[] = wide
    ? [
        [2, 1],
        [2, 16],
        [8, entry.size],
        [8, entry.size],
      ]
    : [];
  return joinedHead([[4, LOCAL], ...facts(entry, wide, wide ? 20 : 0)], entry.name, extra);
}

const joinedHead = (
  head: readonly Value[],
  name: Uint8Array,
  extra: readonly Value[],
  after: readonly Value[] = [],
): Uint8Array<ArrayBuffer> => joined([bytesOf([...head, ...after]), name, bytesOf(extra)]);

function centralHead(entry: Placed): Uint8Array<ArrayBuffer> {
  const { size, at } = entry;
  const long: Value[] = [
    ...(size > MOST ? [[8, size] as const, [8, size] as const] : []),
    ...(at > MOST ? [[8, at] as const] : []),
  ];
  const wide = long.length > 0;
  const extra: Value[] = wide ? [[2, 1], [2, long.length * 8], ...long] : [];
  const head: Value[] = [[4, CENTRAL], [2, WIDE], ...facts(entry, wide, wide ? 4 + long.length * 8 : 0)];
  const after: Value[] = [
    [2, 0],
    [2, 0],
    [2, 0],
    [4, 0],
    [4, at > MOST ? MOST : at],
  ];
  return joinedHead(head, entry.name, extra, after);
}

/**
 * An archive of files as they are, in their order.
 * @throws RangeError when two have one name
 */
export const zipOf = (entries: readonly ZipEntry[]): Blob => new Blob(zipParts(entries), { type: 'application/zip' });

/** What an archive is put together of. */
export function zipParts(entries: readonly ZipEntry[]): (Blob | Uint8Array<ArrayBuffer>)[] {
  const names = new Set(entries.map(({ name }) => name));
  if (names.size !== entries.length) throw new RangeError('two files of an archive have one name');
  const parts: (Blob | Uint8Array<ArrayBuffer>)[] = [];
  let at = 0;
  const add = (part: Blob | Uint8Array<ArrayBuffer>): void => {
    parts.push(part);
    at += part instanceof Blob ? part.size : part.length;
  };
  const placed = entries.map(({ name, file, crc }) => {
    const own: Placed = { name: new TextEncoder().encode(name), size: file.size, crc, at };
    add(localHead(own));
    add(file);
    return own;
  });
  const start = at;
  for (const entry of placed) add(centralHead(entry));
  const size = at - start;
  const count = entries.length;
  if (start > MOST || size > MOST || count >= 0xffff) {
    const end64 = at;
    add(
      bytesOf([
        [4, END64],
        [8, 44],
        [2, WIDE],
        [2, WIDE],
        [4, 0],
        [4, 0],
        [8, count],
        [8, count],
        [8, size],
        [8, start],
      ]),
    );
    add(
      bytesOf([
        [4, LOCATOR64],
        [4, 0],
        [8, end64],
        [4, 1],
      ]),
    );
  }
  const short = Math.min(count, 0xffff);
  add(
    bytesOf([
      [4, END],
      [2, 0],
      [2, 0],
      [2, short],
      [2, short],
      [4, Math.min(size, MOST)],
      [4, Math.min(start, MOST)],
      [2, 0],
    ]),
  );
  return parts;
}

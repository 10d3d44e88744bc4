import { unzipSync } from 'fflate';
import { describe, expect, it } from 'vitest';
import { crc32 } from '../crc';
import { zipOf, zipParts, type ZipEntry } from './zip';

const entry = (name: string, ...bytes: number[]): ZipEntry => ({
  name,
  file: new Blob([Uint8Array.from(bytes)]),
  crc: crc32(Uint8Array.from(bytes)),
});
const bytesOf = async (blob: Blob): Promise<Uint8Array<ArrayBuffer>> => new Uint8Array(await blob.arrayBuffer());

/** A file that says it is large, and holds nothing. */
class Large extends Blob {
  constructor(private readonly claimed: number) {
    super([]);
  }

  override get size(): number {
    return this.claimed;
  }
}

describe('an archive', () => {
  it('the checksum is that of the standards', () => {
    // outside reference: the check value of CRC-32/ISO-HDLC, "123456789", from memory
    expect(crc32(new TextEncoder().encode('123456789'))).toBe(0xcbf43926);
    expect(crc32(Uint8Array.of(3, 4), crc32(Uint8Array.of(1, 2)))).toBe(crc32(Uint8Array.of(1, 2, 3, 4)));
  });

  // outside reference: fflate reads what we write
  it('holds its files as they are, whatever they are called', async () => {
    const zip = await bytesOf(zipOf([entry('lamp.0001.png', 1, 2, 3), entry('folder/lämp.png', 9), entry('none')]));
    const read = unzipSync(zip);
    expect(Object.keys(read)).toEqual(['lamp.0001.png', 'folder/lämp.png', 'none']);
    expect([...read['lamp.0001.png']]).toEqual([1, 2, 3]);
    expect([...read['folder/lämp.png']]).toEqual([9]);
    expect(read['none']).toHaveLength(0);
  });

  it('the same files are the same archive', async () => {
    const make = () => bytesOf(zipOf([entry('a', 1), entry('b', 2)]));
    expect(await make()).toEqual(await make());
  });

  it('refuses two of one name', () => {
    expect(() => zipOf([entry('a', 1), entry('a', 2)])).toThrow('one name');
  });

  it('sizes and places over 4 GB stand in the fields for them', async () => {
    const big = 5e9;
    const large: ZipEntry = { name: 'b', file: new Large(big), crc: 1 };
    const parts = zipParts([entry('a', 7), large, entry('c', 8), entry('d', 9)]);
    const bytes = await bytesOf(new Blob(parts.filter((part) => part !== large.file)));
    const view = new DataView(bytes.buffer);
    const find = (signature: number): number[] =>
      Array.from({ length: bytes.length - 3 }, (_, i) => i).filter((i) => view.getUint32(i, true) === signature);
    const [, b, c] = find(0x02014b50);
    expect(view.getUint32(b + 24, true)).toBe(0xffffffff);
    // after the name: size, size
    expect(view.getUint16(b + 30, true)).toBe(20);
    expect([0, 8].map((i) => Number(view.getBigUint64(b + 46 + 1 + 4 + i, true)))).toEqual([big, big]);
    // heads of 31 bytes and one of 51, and what stands before
    const at = 32 + 51 + big;
    expect(view.getUint32(c + 42, true)).toBe(0xffffffff);
    expect(Number(view.getBigUint64(c + 46 + 1 + 4, true))).toBe(at);
    const [end] = find(0x06064b50);
    expect(Number(view.getBigUint64(end + 32, true))).toBe(4);
    expect(Number(view.getBigUint64(end + 48, true))).toBe(at + 2 * 32);
    const [locator] = find(0x07064b50);
    expect(Number(view.getBigUint64(locator + 8, true))).toBe(end + big);
  });
});

import type { FileKind, FileRef } from './ref';

/** A file that ships with the program. It is never changed: another would have another hash, and pieces name these. */
export interface StockFile extends FileRef {
  kind: FileKind;
  /** in the folder stock */
  path: string;
  /** of a font: a file beside it with letters that it lacks, of the languages of eastern Europe */
  more?: string;
}

const shipped =
  (kind: FileKind, folder: string) =>
  (name: string, path: string, hash: string): StockFile => ({
    kind,
    name,
    path: `${folder}/${path}`,
    hash,
    ...(kind === 'font' ? { more: `${folder}/${path.replace('.woff2', '.more.woff2')}` } : {}),
  });
const font = shipped('font', 'fonts');
const mark = shipped('mark', 'marks');

/** Everything that ships, in the order it is offered. */
export const STOCK: readonly StockFile[] = [
  font('Anton', 'anton.woff2', 'd0fa07ff63dd60cbc0e2f58e29c802dca2a5ae0276c999f59c6111ab7bbaec3b'),
  font('Spectral', 'spectral.woff2', '33faca8b5795a0de1af77cbc43a050a3655c4b1e03e04847fdef4d19d2e361d2'),
  font('Unbounded', 'unbounded.woff2', '477fa23002517a32f232316d859e7b672a044f20073babec8ed3dbcfdb8e041a'),
  font('Space Mono', 'space-mono.woff2', '2d46bd159b53f55c41167a4f1540a074649464194fd1e416f5b4694a6c0f282c'),
  font('Saira Stencil', 'saira-stencil.woff2', 'cd6d5dfdb860075088697dc0c14d1cbe473afe5cf1435c01f21c884a60efd893'),
  mark('Lamp of the week', 'lamp.svg', 'f73adf5dca32d1ca14528143b24eb9f51a580f3875762dcac0836638d341a9d3'),
  mark('Tide gauge', 'tide.svg', 'bb1ac5e556a560ad8e03421172f94f8e9b2d666a98209968a05955d137f47586'),
];

/** A file that ships, by its name. @throws RangeError when there is none */
export function stockFile(name: string): FileRef {
  const found = STOCK.find((file) => file.name === name);
  if (!found) throw new RangeError(`no file called ${name} ships`);
  return { hash: found.hash, name };
}

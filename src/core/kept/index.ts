export { STOCK, stockFile, type StockFile } from './stock';
export { Held } from './held';
export { isHash, serves, type FileKind, type FileRef } from './ref';
export { sortOf, type Sort } from './sniff';

/**
 * A short text that changes when a text does: two multiplicative hashes of 32 bits, each mixed with the other at the end. Of
 * a million texts two have the same with a chance of 3·10⁻⁸.
 */
export function textKey(text: string): string {
  let a = 0xdeadbeef | 0;
  let b = 0x41c6ce57 | 0;
  for (let i = 0; i < text.length; i++) {
    const code = text.charCodeAt(i);
    a = Math.imul(a ^ code, 0x9e3779b1);
    b = Math.imul(b ^ code, 0x5f356495);
  }
  const mixed = (x: number, y: number): number =>
    (Math.imul(x ^ (x >>> 16), 0x85ebca6b) ^ Math.imul(y ^ (y >>> 13), 0xc2b2ae35)) >>> 0;
  return mixed(a, b).toString(36).padStart(7, '0') + mixed(b, a).toString(36).padStart(7, '0');
}

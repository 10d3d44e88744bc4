import type { FileKind } from './ref';

/** What the bytes of a file say it is, whatever it is called. */
export type Sort = FileKind | 'zip' | 'json';

const startsWith = (bytes: Uint8Array, text: string, at = 0): boolean =>
  [...text].every((letter, i) => bytes[at + i] === letter.charCodeAt(0));

/** Brands of an ISO base media file that say it is a still: AVIF 1.1 §8. */
const STILL = ['avif', 'avis', 'mif1', 'miaf'];

/** A picture or a clip in a container that says so in its first bytes; null for anything else. */
function shownSort(bytes: Uint8Array): 'picture' | 'clip' | null {
  if (startsWith(bytes, '\x89PNG\r\n\x1a\n') || startsWith(bytes, '\xff\xd8\xff')) return 'picture';
  if (startsWith(bytes, 'RIFF') && startsWith(bytes, 'WEBP', 8)) return 'picture';
  if (startsWith(bytes, 'ftyp', 4)) return STILL.some((brand) => startsWith(bytes, brand, 8)) ? 'picture' : 'clip';
  return startsWith(bytes, '\x1a\x45\xdf\xa3') ? 'clip' : null;
}

/** A sound in a container that says so in its first bytes: RIFF WAVE, RFC 3533 (Ogg), RFC 9639 (FLAC), ID3 2.4 §3.1, ISO/IEC 11172-3 and 13818-7 (frames of MP3 and AAC). */
function isSound(bytes: Uint8Array): boolean {
  if (startsWith(bytes, 'RIFF') && startsWith(bytes, 'WAVE', 8)) return true;
  if (startsWith(bytes, 'ftyp', 4)) return startsWith(bytes, 'M4A ', 8) || startsWith(bytes, 'M4B ', 8);
  if (['OggS', 'fLaC', 'ID3'].some((mark) => startsWith(bytes, mark))) return true;
  // eleven bits of ones, then a version that there is; what begins a text of UTF-16 is none
  return bytes[0] === 0xff && (bytes[1] & 0xe0) === 0xe0 && (bytes[1] & 0x18) !== 0x08 && bytes[1] !== 0xfe;
}

/** How far into a text its first element is looked for. */
const LOOKED_AT = 4096;

/** The words that a table of colours says how large it is with, or something before that. */
const TABLE = /^(?:#[^\n]*\s+)*(?:TITLE\s|DOMAIN_M(?:IN|AX)\s|LUT_[13]D_SIZE\s)/;

/** Lines that a model written in Wavefront's way begins with, one of vertices among them. */
const OBJ = /^(?:(?:#|o|g|s|vt|vn|vp|mtllib|usemtl)(?=\s)[^\n]*\s+)*v\s+[-+.\d]/;
/** Its head alone, longer than what is looked at. */
const OBJ_HEAD = /^(?:#[^\n]*\s+)*(?:mtllib|o)\s+\S/;

/** Whether a text of JSON describes a model: it says what it is of glTF, which no piece does. */
function describesModel(bytes: Uint8Array): boolean {
  const decoder = new TextDecoder('latin1');
  const ends = [bytes.subarray(0, SEARCHED), bytes.subarray(Math.max(0, bytes.length - SEARCHED))];
  return ends.some((end) => /"asset"\s*:\s*\{/.test(decoder.decode(end)));
}
/** How far into its ends that is looked for. */
const SEARCHED = 1 << 16;

/** Whether a file is a model of facets without a word: so many of 50 bytes follow as it says (see formats/model/stl.ts). */
const isFacets = (bytes: Uint8Array): boolean =>
  bytes.length > 84 &&
  84 + 50 * new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength).getUint32(80, true) === bytes.length;

/** The first letters of a text file, whatever is before them taken away; null where it is no text. */
function firstText(bytes: Uint8Array): string | null {
  const head = bytes.subarray(0, LOOKED_AT);
  if (head.includes(0)) return null;
  return new TextDecoder()
    .decode(head)
    .replace(/^\ufeff/, '')
    .trimStart();
}

/**
 * What a file is by its first bytes: a font (OpenType, TrueType, WOFF, WOFF2), a mark (SVG), a picture (PNG, JPEG, WebP, AVIF), a
 * clip (MP4, WebM), a panorama (Radiance, OpenEXR), a table of colours (.cube), a model (glTF, OBJ, PLY, STL), a motion (BVH), a sound (WAV, MP3, FLAC, Ogg, AAC), a packed piece or a piece; null for anything else. Signatures: ISO/IEC 14496-22 (sfnt), W3C WOFF and WOFF2,
 * W3C PNG §5.2, Radiance's picture format, OpenEXR's file layout, ITU-T T.81 (JPEG), RFC 9649 (WebP), ISO/IEC 14496-12 (ftyp), RFC 8794 (EBML), Khronos glTF 2.0 §4.4, PKWARE APPNOTE 4.3.7 (zip).
 */
export function sortOf(bytes: Uint8Array): Sort | null {
  if (startsWith(bytes, 'wOFF') || startsWith(bytes, 'wOF2') || startsWith(bytes, 'OTTO')) return 'font';
  if (startsWith(bytes, '\x00\x01\x00\x00') || startsWith(bytes, 'true')) return 'font';
  if (startsWith(bytes, '#?RADIANCE') || startsWith(bytes, '#?RGBE') || startsWith(bytes, '\x76\x2f\x31\x01'))
    return 'panorama';
  if (startsWith(bytes, 'PK\x03\x04') || startsWith(bytes, 'PK\x05\x06')) return 'zip';
  if (isSound(bytes)) return 'sound';
  const shown = shownSort(bytes);
  if (shown) return shown;
  if (startsWith(bytes, 'glTF') || startsWith(bytes, 'ply\n') || startsWith(bytes, 'ply\r')) return 'model';
  if (isFacets(bytes)) return 'model';
  const text = firstText(bytes);
  if (text === null) return null;
  if (text.startsWith('{')) return describesModel(bytes) ? 'model' : 'json';
  if (/^solid\b[^\n]*\s+facet\b/i.test(text) || OBJ.test(text) || OBJ_HEAD.test(text)) return 'model';
  if (/^HIERARCHY\s+ROOT\s/i.test(text)) return 'motion';
  if (TABLE.test(text)) return 'table';
  return /^<(\?xml|!--|!DOCTYPE\s+svg|svg[\s>])/i.test(text) && /<svg[\s>]/i.test(text) ? 'mark' : null;
}

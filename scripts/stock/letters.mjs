// Letters of the fonts that ship, as paths for SVG drawings: what draws those reads no fonts.
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from '../run.mjs';
import { modulesOf } from '../modules.mjs';

const vite = await modulesOf();
const { openFont } = /** @type {typeof import('../../src/formats/font/font')} */ (
  await vite.ssrLoadModule('/src/formats/font/font.ts')
);
const { shapedLine } = /** @type {typeof import('../../src/core/type/layout')} */ (
  await vite.ssrLoadModule('/src/core/type/layout.ts')
);

/** @type {Map<string, import('../../src/core/type/font').Font>} */
const fonts = new Map();

/** @param {string} name file in stock/fonts, without its ending */
function fontOf(name) {
  const known = fonts.get(name);
  if (known) return known;
  const font = openFont(new Uint8Array(readFileSync(join(root, `stock/fonts/${name}.woff2`))), name);
  fonts.set(name, font);
  return font;
}

/** @param {number} v */
const n = (v) => Number(v.toFixed(1));

/**
 * A line of text as the data of a path.
 * @param {string} font @param {string} text @param {number} x @param {number} y of its base line
 * @param {number} size of the em @param {'start' | 'middle' | 'end'} [anchor]
 */
export function letters(font, text, x, y, size, anchor = 'start', tracking = 0) {
  const face = fontOf(font);
  const { glyphs, width } = shapedLine(face, text, tracking);
  const from = x - (anchor === 'start' ? 0 : anchor === 'middle' ? 0.5 : 1) * width * size;
  return glyphs
    .flatMap((glyph) =>
      face.outline(glyph.id).flatMap(({ outline, holes }) =>
        [outline, ...holes].map((contour) => {
          const points = [];
          for (let i = 0; i < contour.length; i += 2)
            points.push(`${n(from + (glyph.x + contour[i]) * size)} ${n(y - (glyph.y + contour[i + 1]) * size)}`);
          return `M${points.join('L')}Z`;
        }),
      ),
    )
    .join('');
}

export const close = () => vite.close();

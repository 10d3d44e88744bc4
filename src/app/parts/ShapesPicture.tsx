import { contoursOf, shapesBounds, shapesMoved, type Shape } from '../../core/type/shape';
import { setText } from '../../core/type/layout';
import type { Font } from '../../core/type/font';

const pathOf = (shapes: readonly Shape[]): string =>
  contoursOf(shapes)
    .map((contour) => {
      let d = '';
      for (let i = 0; i < contour.length; i += 2)
        d += `${i === 0 ? 'M' : 'L'}${contour[i].toFixed(3)} ${(-contour[i + 1]).toFixed(3)}`;
      return `${d}Z`;
    })
    .join('');

/** Shapes as they are, as large as there is room for. */
export function ShapesPicture({
  shapes,
  align = 'xMidYMid',
}: {
  shapes: readonly Shape[];
  align?: 'xMidYMid' | 'xMinYMid';
}) {
  const bounds = shapesBounds(shapes);
  if (!bounds) return null;
  const { left, right, bottom, top } = bounds;
  return (
    <svg
      viewBox={`${left} ${-top} ${right - left} ${top - bottom}`}
      preserveAspectRatio={`${align} meet`}
      width="100%"
      height="100%"
      aria-hidden
    >
      <path d={pathOf(shapes)} fill="currentColor" fillRule="evenodd" />
    </svg>
  );
}

/** A line in a font. */
export const lineShapes = (font: Font, text: string): Shape[] =>
  setText(font, text, {
    elements: 'lines',
    align: 'left',
    tracking: 0,
    leading: 1,
    bend: 0,
    around: 'plane',
    rise: 0,
  }).flatMap(({ glyphs }) => glyphs.flatMap(({ id, x, y }) => shapesMoved(font.outline(id), x, y)));

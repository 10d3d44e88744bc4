import { describe, expect, it } from 'vitest';
import { contoursOf, shapesArea, shapesBounds } from '../../core/type/shape';
import { readMark } from './svg';

const mark = (inner: string, box = '0 0 100 100') =>
  readMark(
    new TextEncoder().encode(`<svg xmlns="http://www.w3.org/2000/svg" viewBox="${box}">${inner}</svg>`),
    'mark.svg',
  );
const area = (inner: string): number => shapesArea(mark(inner).paths.flat());

describe('marks from drawings', () => {
  // a polygon's area by the shoelace formula, a circle's and an ellipse's by π·a·b
  it.each([
    [
      'a square with a hole of the other winding',
      '<path d="M0 0h80v80h-80z M20 20v40h40v-40z"/>',
      (80 * 80 - 40 * 40) / 80 ** 2,
    ],
    ['the same by the even-odd rule', '<path fill-rule="evenodd" d="M0 0h80v80h-80z M20 20h40v40h-40z"/>', 0.75],
    ['a hole that is none by the other rule', '<path d="M0 0h80v80h-80z M20 20h40v40h-40z"/>', 1],
    [
      'an island in a hole',
      '<path style="fill:#fff;fill-rule:evenodd" d="M0 0h80v80H0z M20 20h40v40H20z M30 30h20v20H30z"/>',
      (6400 - 1600 + 400) / 6400,
    ],
    ['a circle', '<circle cx="50" cy="50" r="40"/>', Math.PI / 4],
    ['an ellipse', '<ellipse cx="50" cy="50" rx="20" ry="40"/>', Math.PI / 8],
    ['a polygon', '<polygon points="0,0 100,0 0,50"/>', 2500 / 50 ** 2],
    ['a rectangle with round corners', '<rect width="100" height="50" rx="10"/>', (5000 - (4 - Math.PI) * 100) / 2500],
    ['shapes that overlap in one path', '<path d="M0 0h60v60H0z M40 20h60v20H40z"/>', (3600 + 800) / 3600],
    ['arcs and short curves', '<path d="M0 40 A40 40 0 0 1 80 40 A40 40 0 0 1 0 40z"/>', Math.PI / 4],
  ])('%s', (_, inner, expected) => {
    expect(Math.abs(area(inner) - expected)).toBeLessThan(0.002 * expected);
  });

  it('stands upright about its middle, one unit high, transformed from the inside outwards', () => {
    const { paths } = mark(
      '<g transform="translate(10 0) scale(2)"><path transform="rotate(90)" d="M0 0h30v10z"/></g>',
    );
    const bounds = shapesBounds(paths.flat());
    // turned: from x −10 to 0 and y 0 to 30, doubled
    expect(bounds?.top).toBeCloseTo(0.5, 9);
    expect(bounds?.right).toBeCloseTo(20 / 60 / 2, 9);
    const [corner] = [...contoursOf(paths.flat())];
    // the long side is on the right, its sharp corner at the top
    expect(Math.max(...corner.filter((_, i) => i % 2 === 0))).toBeCloseTo(1 / 6, 9);
  });

  it('has an element for each path, uses what it names itself, and leaves out what is not drawn', () => {
    const { paths } = mark(
      `<defs><path id="a" d="M0 0h10v10H0z"/><rect width="9" height="9"/></defs>
       <use href="#a"/><use href="#a" x="20"/><path fill="none" d="M0 0h99v99z"/><g display="none"><rect width="5" height="5"/></g>
       <script>alert(1)</script><image href="http://127.0.0.1:9/x.png"/><use href="http://127.0.0.1:9/x.svg#y"/>`,
    );
    expect(paths).toHaveLength(2);
    expect(shapesBounds(paths.flat())?.right).toBeCloseTo(1.5, 9);
  });

  it.each([
    ['nothing that is filled', '<path fill="none" stroke="black" d="M0 0h9v9"/>', /no filled shapes.*|outlines/],
    ['no end', '<path', /not a mark/],
    ['entities', '&lol;', /not a mark/],
    ['uses in a circle', '<g id="a"><use href="#a"/></g>', /no filled shapes/],
    ['too deep', '<g>'.repeat(80), /nested more than/],
    ['too many', '<g/>'.repeat(20_100), /more than 20000 elements/],
    ['no numbers', '<path d="M0 0 L NaN 5z"/>', /no filled shapes/],
    ['too many points', `<path d="M0 0${'l1 1'.repeat(70_000)}z"/>`, /points/],
  ])('refuses %s', (_, inner, words) => {
    expect(() => mark(inner)).toThrow(words);
  });

  it('does not expand entities', () => {
    const bomb = `<?xml version="1.0"?><!DOCTYPE svg [<!ENTITY a "${'b'.repeat(1000)}"><!ENTITY c "&a;&a;&a;">]><svg xmlns="http://www.w3.org/2000/svg"><path d="&c;"/></svg>`;
    expect(() => readMark(new TextEncoder().encode(bomb), 'bomb.svg')).toThrow(/not a mark/);
  });
});
